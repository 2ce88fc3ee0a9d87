using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>Finds out which bar each stick moves, from any of the observations in any order.</summary>
/// <remarks>The bars of a board show only the combination of the transmitter's order and the board's map; read one side and the other
/// follows. Three observations settle the order, the fourth channel's direction still needs its own: common practice, no source.
/// All 384 ways are gone through, so nothing is called certain that another way contradicts.</remarks>
public static class WiggleSolver
{
    /// <summary>What follows from what was seen.</summary>
    /// <param name="seen">The observations; the same stick may be there more than once.</param>
    /// <param name="sent">The order that the transmitter is known to send, or null.</param>
    /// <param name="map">The map that the board is known to have.</param>
    public static WiggleAnswer Solve(IReadOnlyList<WiggleSeen> seen, StickOrder? sent, StickOrder map)
    {
        Arrival[] left = [.. Arrival.All.Where(a => seen.All(a.Allows))];
        var bars = Single(left, a => a.Bars);
        return new WiggleAnswer(
            [
                .. StickAxes.All.Select(stick => new StickArrival(
                    stick,
                    Single(left, a => a.BarOf(stick)),
                    Single(left, a => a.IsReversed(stick))
                )),
            ],
            left.Length,
            left.Length > 0 ? [] : [.. Conflicts(seen)],
            left.Length > 1 ? MostTelling(left) : null,
            bars is { } known && sent is { } order ? MapFor(order, known) : null,
            bars is { } certain ? OrderFor(map, certain) : null
        );
    }

    /// <summary>The map with which sticks that are sent in an order move the bars that they move.</summary>
    public static StickOrder MapFor(StickOrder sent, StickOrder bars) =>
        Of(channel => BarOf(bars, sent.AxisOf(channel)));

    /// <summary>The order in which sticks must be sent for a map to make them move the bars that they move.</summary>
    public static StickOrder OrderFor(StickOrder map, StickOrder bars) =>
        Of(channel => StickAxes.All.First(stick => BarOf(bars, stick) == map.AxisOf(channel)));

    // The one value that all ways agree on, or null.
    private static T? Single<T>(Arrival[] left, Func<Arrival, T> of)
        where T : struct => left.Select(of).Distinct().Take(2).ToArray() is [var only] ? only : null;

    private static StickAxis BarOf(StickOrder bars, StickAxis stick) => new Arrival(bars, 0).BarOf(stick);

    private static StickOrder Of(Func<ChannelNumber, StickAxis> axis) =>
        StickOrder.Of([.. Enumerable.Range(1, ChannelNumber.StickChannels).Select(n => axis(new ChannelNumber(n)))]);

    // After its wiggle the fewest ways are left on average; the first of equal ones.
    private static StickAxis MostTelling(Arrival[] left) =>
        StickAxes.All.MinBy(stick =>
            left.GroupBy(a => (a.BarOf(stick), a.IsReversed(stick))).Sum(g => (long)g.Count() * g.Count())
        );

    // Two observations contradict each other when no way allows both; more are never needed for a contradiction.
    private static IEnumerable<(int One, int Other)> Conflicts(IReadOnlyList<WiggleSeen> seen)
    {
        for (var one = 0; one < seen.Count; one++)
        for (var other = one + 1; other < seen.Count; other++)
            if (!Arrival.All.Any(a => a.Allows(seen[one]) && a.Allows(seen[other])))
                yield return (one, other);
    }
}
