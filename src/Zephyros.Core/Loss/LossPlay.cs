using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A loss of the signal as it was played on the bench, to be seen with one flight or another.</summary>
public sealed class LossPlay
{
    /// <summary>A return of the signal is looked at so long.</summary>
    internal static readonly TimeSpan LatestReturn = TimeSpan.FromSeconds(60);

    // After the last thing that happened in one phase the others are played so much further.
    private static readonly TimeSpan Beyond = TimeSpan.FromSeconds(2);

    // Of a way that is drawn, besides the places where its legs begin.
    private const int Points = 120;

    private readonly Setup setup;
    private readonly Percent throttle;
    private readonly bool fix;

    // The same without a position fix: what a craft does that is too near to home. Null where a fix makes no difference.
    private readonly Lazy<LossPlay>? comesDown;
    private readonly ArmedBench armed;
    private readonly IReadOnlyList<LossRun> runs;
    private readonly IReadOnlyList<LossOnPurpose> onPurpose;

    /// <summary>What happens when the signal comes back, by when it does; whatever the flight.</summary>
    internal IReadOnlyList<ReturnSpan> Returns { get; }

    /// <summary>The bench before the loss, and when the last packet comes in the play that the returns are of.</summary>
    internal (BenchRun Bench, TimeSpan Loss) Begins => (armed.Bench, runs[0].Loss);

    private LossPlay(Setup setup, Percent throttle, bool fix, ArmedBench armed)
    {
        (this.setup, this.throttle, this.fix, this.armed) = (setup, throttle, fix, armed);
        runs = Runs(setup, armed.Bench);
        if (fix && setup.Board.Loss.Procedure == LossProcedure.ReturnHome)
            comesDown = new(() => Of(setup, throttle, fix: false)!);
        onPurpose = LossesOnPurpose.Of(setup, armed.Bench, runs[0]);
        Returns = ReturnSweep.Of(runs[0], setup.Wire.FramePeriod.ToTimeSpan(), LatestReturn);
    }

    /// <summary>Plays the loss of a setup.</summary>
    /// <param name="setup">A valid setup.</param>
    /// <param name="throttle">Where the throttle stick stands, -100 to 100 %.</param>
    /// <param name="fix">True while there is a position fix to be had; a board without a position receiver has none then either.</param>
    /// <returns>Null when no hands that were tried arm the craft.</returns>
    public static LossPlay? Of(Setup setup, Percent throttle, bool fix)
    {
        fix &= setup.Board.Equipment.PositionReceiver;
        return ArmedBench.Of(setup, throttle, fix) is { } armed ? new LossPlay(setup, throttle, fix, armed) : null;
    }

    /// <summary>The timeline for a flight.</summary>
    public LossTimeline With(FlightAtLoss flight)
    {
        var terms = CourseTerms.Of(setup, flight);
        LossCourse[] courses =
        [
            .. runs.Select(r => new LossCourse(terms, [.. r.States.Select(s => (s.After, s.State))])),
        ];
        if (comesDown is not null && courses.Any(c => TooNear(c, terms)))
            return comesDown.Value.With(flight);
        var worst = courses.MaxBy(c => c.Legs[^1].Begins)!;
        var end = worst.Legs[^1].Begins;
        if (worst.Touchdown is null)
            end += Beyond * 2;
        return new LossTimeline(
            armed.Hands,
            LossMarks.Of(setup, runs, courses),
            Returns,
            onPurpose,
            [
                .. Enumerable
                    .Range(0, Points + 1)
                    .Select(i => end * i / Points)
                    .Concat(worst.Legs.Select(l => l.Begins))
                    .Order()
                    .Select(t => Point(worst, t)),
            ],
            Footprints.Of(setup, flight, throttle, courses),
            fix
        );
    }

    // Flying away from home, as the worst: towards it the craft may be nearer, and the circle of a return has that landing in it.
    private static bool TooNear(LossCourse course, CourseTerms terms) =>
        course.Return is { } begins && terms.Flight.Pilot is { } away && begins.Far + away < terms.Return.NotWithin;

    // The receiver can give up just after a frame or just before one, and the last packet come so to telemetry.
    private static IReadOnlyList<LossRun> Runs(Setup setup, BenchRun armed)
    {
        var loss = setup.Board.Loss;
        var givesUp = setup.Air.GivesUp.ToTimeSpan();
        var longest = LossRun.Longest + givesUp + loss.Grace.ToTimeSpan();
        if (loss.Procedure != LossProcedure.Stop)
            longest += loss.LandingTime.ToTimeSpan();
        var (frame, telemetry) = armed.Grid;
        // The receiver gives up with a frame, or just before one.
        var period = setup.Wire.FramePeriod.ToTimeSpan();
        frame += (period * Math.Ceiling(givesUp / period)) - givesUp;
        var first = LossRun.Play(armed, frame, longest);
        // In another phase telemetry is missed up to one of its packets later.
        var rest = first.LastEvent + ReturnPlan.IntervalOf(setup.Air) + Beyond;
        return
        [
            first,
            .. new[] { frame - TimeSpan.FromTicks(1), telemetry, telemetry - TimeSpan.FromTicks(1) }
                .Where(t => t >= armed.Now && t < TimeSpan.MaxValue - rest)
                .Select(t => LossRun.Play(armed, t, rest)),
        ];
    }

    private static CoursePoint Point(LossCourse course, TimeSpan at)
    {
        var (far, high) = course.At(at);
        return new CoursePoint(
            new Milliseconds(at.TotalMilliseconds),
            far,
            high,
            course.Legs.Last(l => l.Begins <= at).Kind
        );
    }
}
