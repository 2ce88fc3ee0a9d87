using Zephyros.Core.Goggles;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Goggles;

namespace Zephyros.Web.Contracts;

/// <summary>What the goggles show.</summary>
/// <param name="Subjects">Everything that they could show.</param>
/// <param name="Lines">Their items, by page, row and column; none while they are not written down.</param>
/// <param name="Paging">What turns their pages, in words; empty when nothing does.</param>
public sealed record GogglesView(
    IReadOnlyList<GogglesSubjectView> Subjects,
    IReadOnlyList<GogglesLine> Lines,
    string Paging
)
{
    /// <summary>The view of the goggles of a setup.</summary>
    public static GogglesView Of(SignalPlan plan)
    {
        var goggles = GogglesPlan.Of(plan);
        return new GogglesView(
            [.. Enum.GetValues<GogglesSubject>().Select(s => new GogglesSubjectView(s, s.Words()))],
            goggles?.Lines ?? [],
            goggles?.Paging is { } paging
                ? plan.Setup.Transmitter.Controls.TryGetValue(paging.Control, out var control)
                    ? $"{paging.Label}, by {control.Name}"
                    : paging.Label
                : ""
        );
    }
}
