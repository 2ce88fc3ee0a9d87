using Zephyros.Core.Goggles;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about goggles have in common.</summary>
internal static class GogglesFaults
{
    /// <summary>The fix that changes the goggles.</summary>
    public static Fix Changing(
        Setup setup,
        string id,
        string effect,
        string title,
        Func<GogglesSettings, GogglesSettings> change
    ) => new(id, effect, SetupEdit.Between(title, setup, setup with { Goggles = change(setup.Goggles!) }));

    /// <summary>A row of a page in which nothing stands yet.</summary>
    public static int FreeRow(GogglesSettings goggles, int page) =>
        Enumerable
            .Range(1, 20)
            .First(row => row == 20 || goggles.Items.Values.All(i => (i.Page, i.Row) != (page, row)));
}
