using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>Where the craft is while a signal is lost, leg by leg: it flies on, falls, comes down by itself, or flies home.</summary>
/// <remarks>Level flight keeps height and speed over the ground while the motors are at thrust and the board waits; that is our own
/// assumption, as is that a landing levels the craft and lets air and wind do the rest.</remarks>
internal sealed class LossCourse
{
    private readonly List<CourseLeg> legs = [];

    /// <summary>Follows the states of the board.</summary>
    /// <param name="flight">The flight at the loss.</param>
    /// <param name="states">Each state with when it began after the last packet; the first at 0.</param>
    public LossCourse(FlightAtLoss flight, IReadOnlyList<(TimeSpan After, BoardState State)> states)
    {
        legs.Add(
            new CourseLeg(
                flight,
                KindOf(states[0].State),
                states[0].After,
                default,
                flight.Height,
                flight.Speed,
                default
            )
        );
        foreach (var (after, state) in states.Skip(1))
        {
            Land(after);
            var kind = KindOf(state);
            if (legs[^1].Kind != LegKind.OnGround && legs[^1].Kind != kind)
                legs.Add(legs[^1].Then(kind, after));
        }

        Land(TimeSpan.MaxValue);
    }

    /// <summary>The legs in order.</summary>
    public IReadOnlyList<CourseLeg> Legs => legs;

    /// <summary>When it is on the ground, after the last packet; null when it never is by what the board does.</summary>
    public TimeSpan? Touchdown => legs[^1].Kind == LegKind.OnGround ? legs[^1].Begins : null;

    /// <summary>Where it is at a time.</summary>
    public (Metres Far, Metres High) At(TimeSpan after) => legs.Last(l => l.Begins <= after).At(after);

    // Ends the last leg with the ground, where that comes first.
    private void Land(TimeSpan before)
    {
        if (legs[^1].Ground is { } ground && ground <= before)
            legs.Add(legs[^1].Then(LegKind.OnGround, ground));
    }

    private static LegKind KindOf(BoardState state) =>
        state.Signal switch
        {
            BoardSignal.Landing => LegKind.Landing,
            BoardSignal.Returning => LegKind.Returning,
            BoardSignal.None or BoardSignal.Good or BoardSignal.Grace => state
                is { Armed: true, Motors: MotorLevel.Thrust }
                ? LegKind.Level
                : LegKind.Falling,
        };
}
