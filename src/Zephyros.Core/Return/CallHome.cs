using Zephyros.Core.Air;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Return;

/// <summary>How far away a craft is to be called home at the latest: where the link does not warn yet, the battery still brings it home, and
/// its pilot still sees it.</summary>
/// <remarks>Common practice, no source.</remarks>
internal static class CallHome
{
    /// <summary>Distances are told, and set, in whole tens of metres.</summary>
    private const double Step = 10;

    /// <summary>The nearest of what bounds it, with its reason as the end of a sentence.</summary>
    public static (Metres At, string Words) Bound(Setup setup) => Bounds(setup).MinBy(b => b.At.Value);

    /// <summary>The farthest distance in whole steps that is not beyond a bound.</summary>
    public static Metres Within(Metres bound) => new(Math.Floor(bound.Value / Step) * Step);

    private static IEnumerable<(Metres At, string Words)> Bounds(Setup setup)
    {
        var warns = LinkBudget.PracticalReach(setup.Air, LinkBudget.MarginAt(setup.Air.WarnBelow)).Value * 1000;
        yield return (new(warns), $"the link warns at some {Figures.Plain(Math.Round(warns / Step) * Step)} m");
        if (setup.Craft.WayHome is { } way)
            yield return (way.Distance, $"the battery\u2019s alarm leaves time for a way home of {way.Distance}");
        if (setup.Craft.AtLoss?.Sight is { } sight)
            yield return (sight, $"its pilot sees it no farther than {sight}");
    }
}
