using Zephyros.Core.Hands;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench.Ahead;

/// <summary>Looks at what an edit would change on a bench, on copies of it.</summary>
/// <remarks>Where the hands stand comes first, then one control after the other in each of its positions: what an edit changes is often
/// seen only when something is moved.</remarks>
public static class LookAhead
{
    // So long the hands rest before anybody looks: several frames of every wire format.
    private static readonly TimeSpan Rest = TimeSpan.FromMilliseconds(300);

    // After a movement of a copy: the longest frame, and one more.
    private static readonly TimeSpan Moved = TimeSpan.FromMilliseconds(60);

    // A board that started anew takes the signal for good after some time.
    private static readonly TimeSpan LongestWait = TimeSpan.FromSeconds(5);

    // The ends and the middle first, where most can be seen; then every tenth.
    private static readonly double[] Travel =
    [
        -100,
        100,
        .. Enumerable.Range(-9, 19).Select(tenth => 10.0 * tenth).OrderBy(Math.Abs),
    ];

    /// <summary>The first place where a value would be another; where none would, the first where something is said in other words, and
    /// where nothing is, the path as it is, twice.</summary>
    /// <param name="bench">The bench; it is only looked at.</param>
    /// <param name="next">The valid setup that the edit would lead to.</param>
    /// <param name="follow">The control to follow first; an unknown one follows the first control.</param>
    public static PathAhead Of(BenchRun bench, Setup next, string follow)
    {
        var (now, then) = (bench.Fork(), bench.Fork());
        then.Replace(next);
        Let(now, then, Rest);
        for (var wait = Rest; then.Board.HasSignal != now.Board.HasSignal && wait < LongestWait; wait += Rest)
            Let(now, then, Rest);
        var here = See(now, then, follow, "");
        if (here.ChangesValues || IsSame(bench.Setup, next))
            return here;
        // Another value somewhere says more than another word here.
        var words = here.Changes ? here : null;
        foreach (var place in Places(now, then, follow))
        {
            if (place.ChangesValues)
                return place;
            words ??= place.Changes ? place : null;
        }

        return words ?? here;
    }

    // The names of the craft, the limits of the pilot and the like are not on the path.
    private static bool IsSame(Setup one, Setup other) =>
        SetupJson.Same(one.Transmitter, other.Transmitter)
        && SetupJson.Same(one.Model, other.Model)
        && SetupJson.Same(one.Air, other.Air)
        && one.Wire == other.Wire
        && SetupJson.Same(one.Board, other.Board);

    private static IEnumerable<PathAhead> Places(BenchRun now, BenchRun then, string follow)
    {
        // One after the other as they stand, then moved; the one that is followed first. What an edit calls a position is not known yet:
        // each is called as it is now.
        (string Id, Control Control)[] shared =
        [
            .. now
                .Setup.Transmitter.Controls.Where(c => then.Setup.Transmitter.Controls.ContainsKey(c.Key))
                .OrderBy(c => c.Key != follow)
                .ThenBy(c => c.Key, StringComparer.Ordinal)
                .Select(c => (c.Key, c.Value)),
        ];
        foreach (var (id, _) in shared)
            yield return See(now, then, id, "");
        foreach (var (id, control) in shared)
        foreach (var (setting, name) in Positions(control))
        {
            var (one, other) = (now.Fork(), then.Fork());
            // An edit can take a position away.
            if (!one.Move(id, setting) || !other.Move(id, setting))
                continue;
            Let(one, other, Moved);
            yield return See(one, other, id, $"{control.Name} {name}");
        }
    }

    private static IEnumerable<(double Setting, string Name)> Positions(Control control) =>
        control.NamedPositions.Count > 0
            ? control.NamedPositions.Select(p => (p.Setting, p.Name))
            : Travel.Select(setting => (setting, $"at {new Percent(setting)}"));

    private static PathAhead See(BenchRun now, BenchRun then, string follow, string where) =>
        new(where, now.Trace(follow), then.Trace(follow), now.Says, then.Says);

    private static void Let(BenchRun one, BenchRun other, TimeSpan time)
    {
        one.AdvanceTo(one.Now + time);
        other.AdvanceTo(other.Now + time);
    }
}
