using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>Where the craft is while a signal is lost, leg by leg: it flies on, falls, comes down by itself, or flies home.</summary>
/// <remarks>Flight goes on with the same speed over the ground, and climbs or dives as before, while the motors are at thrust and the board
/// waits; that is our own assumption, as is that a landing levels the craft and lets air and wind do the rest, and that a craft with a position fix keeps to its place while it
/// climbs and lands at home.</remarks>
internal sealed class LossCourse
{
    private readonly List<CourseLeg> legs = [];

    /// <summary>Follows the states of the board.</summary>
    /// <param name="terms">What the way follows from besides.</param>
    /// <param name="states">Each state with when it began after the last packet; the first at 0.</param>
    public LossCourse(CourseTerms terms, IReadOnlyList<(TimeSpan After, BoardState State)> states)
    {
        var (flight, kind) = (terms.Flight, KindOf(states[0].State));
        legs.Add(
            new CourseLeg(terms, kind, states[0].After, default, flight.Height, flight.Speed, default)
            {
                Sinking = default(MetresPerSecond) - flight.Climb,
            }
        );
        foreach (var (after, state) in states.Skip(1))
        {
            Follow(after);
            var next = KindOf(state);
            if (next != kind && legs[^1].Kind != LegKind.OnGround)
                legs.Add(legs[^1].Then(next, after));
            kind = next;
        }

        Follow(TimeSpan.MaxValue);
    }

    /// <summary>The legs in order.</summary>
    public IReadOnlyList<CourseLeg> Legs => legs;

    /// <summary>When it is on the ground, after the last packet; null when it never is by what the board does.</summary>
    public TimeSpan? Touchdown => legs[^1].Kind == LegKind.OnGround ? legs[^1].Begins : null;

    /// <summary>Where it is at a time.</summary>
    public (Metres Far, Metres High) At(TimeSpan after) => legs.Last(l => l.Begins <= after).At(after);

    /// <summary>Where its return home begins and how far it has come by then; null when it flies home never.</summary>
    public CourseLeg? Return => legs.FirstOrDefault(l => l.Kind == LegKind.Climbing);

    /// <summary>How far from where its position fix fails on the way home it can come down at most.</summary>
    /// <param name="terms">What its way follows from.</param>
    /// <param name="highest">How high it is at most until then.</param>
    public static Metres WithoutFix(CourseTerms terms, Metres highest)
    {
        var flight = terms.Flight;
        var fastest = flight.Speed.AtLeast(terms.Return.Speed) + flight.Wind;
        var high = highest.AtLeast(terms.Return.Height);
        var lands = new CourseLeg(terms, LegKind.Landing, default, default, high, fastest, default)
        {
            Sinking = default(MetresPerSecond) - flight.Climb.AtLeast(terms.Return.Climb),
        };
        if (lands.Ends is not { } ends || ends.At <= terms.Lands)
            return lands.ReachAt(lands.Ends?.At ?? default);
        var falls = lands.Then(LegKind.Falling, terms.Lands);
        return falls.ReachAt(falls.Ends!.Value.At);
    }

    // What ends by itself by then.
    private void Follow(TimeSpan before)
    {
        while (legs[^1].Ends is { } ends && ends.At <= before)
            legs.Add(legs[^1].Then(ends.Next, ends.At));
    }

    private static LegKind KindOf(BoardState state) =>
        state.Signal switch
        {
            BoardSignal.Landing => LegKind.Landing,
            BoardSignal.Returning => LegKind.Climbing,
            BoardSignal.None or BoardSignal.Good or BoardSignal.Grace => state
                is { Armed: true, Motors: MotorLevel.Thrust }
                ? LegKind.Level
                : LegKind.Falling,
        };
}
