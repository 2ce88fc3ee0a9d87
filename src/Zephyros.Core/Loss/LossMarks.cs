using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>The marks of a loss, from what several runs of it did: the earliest and the latest of each.</summary>
internal static class LossMarks
{
    /// <summary>The marks, by when each comes at the latest.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="runs">The same loss, its last packet at different places between frames.</param>
    /// <param name="courses">The craft's way in each.</param>
    public static IReadOnlyList<LossMark> Of(
        Setup setup,
        IReadOnlyList<LossRun> runs,
        IReadOnlyList<LossCourse> courses
    )
    {
        var seen =
            from run in runs.Zip(courses)
            from moment in Moments(setup, run.First, run.Second)
            select (moment, run.Second);
        return
        [
            .. seen.GroupBy(m => (m.moment.Kind, m.moment.Text, m.moment.Because, m.moment.Turn))
                .Select(g =>
                {
                    var latest = g.MaxBy(m => m.moment.After);
                    var (far, high) = latest.Second.At(latest.moment.After);
                    return new LossMark(
                        g.Key.Kind,
                        g.Key.Text,
                        g.Key.Because,
                        Of(g.Min(m => m.moment.After)),
                        Of(latest.moment.After),
                        far,
                        high
                    );
                })
                .OrderBy(m => m.Latest.Value)
                .ThenBy(m => m.Kind),
        ];
    }

    // What comes several times in one run keeps its turn: the second "Signal lost" is compared with the second of the others.
    private static IEnumerable<(LossMarkKind Kind, string Text, string Because, TimeSpan After, int Turn)> Moments(
        Setup setup,
        LossRun run,
        LossCourse course
    )
    {
        var turns = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var (kind, text, because, after) in All(setup, run, course))
        {
            turns[text] = turns.GetValueOrDefault(text) + 1;
            yield return (kind, text, because, after, turns[text]);
        }
    }

    private static IEnumerable<(LossMarkKind Kind, string Text, string Because, TimeSpan After)> All(
        Setup setup,
        LossRun run,
        LossCourse course
    )
    {
        yield return (LossMarkKind.LastPacket, "The last packet comes", "", TimeSpan.Zero);
        yield return (LossMarkKind.ReceiverGivesUp, Receiver(setup.Air), GivesUp(setup.Air), run.GivesUp);
        for (var i = 1; i < run.States.Count; i++)
            foreach (var (kind, text, because) in Changes(setup, run.States[i - 1].State, run.States[i].State))
                yield return (kind, text, because, run.States[i].After);
        foreach (var (after, entry) in run.Told)
            yield return entry.Kind == LogKind.Said
                ? (LossMarkKind.Told, $"The transmitter says “{entry.Text}”", "", after)
                : (LossMarkKind.TelemetryMissed, "The transmitter misses telemetry", "", after);
        foreach (var leg in course.Legs)
            if (Homeward(setup, leg) is { } mark)
                yield return mark;
        if (course.Touchdown is { } ground)
            yield return (LossMarkKind.Touchdown, "The craft is on the ground", "", ground);
    }

    private static (LossMarkKind Kind, string Text, string Because, TimeSpan After)? Homeward(
        Setup setup,
        CourseLeg leg
    )
    {
        var settings = setup.Board.Loss.Return;
        return leg.Kind switch
        {
            LegKind.Returning => (
                LossMarkKind.TurnsHome,
                "It is high enough, and turns home",
                $"{settings.Height} or as high as it was, at {settings.Climb}",
                leg.Begins
            ),
            LegKind.LandingAtHome => (
                LossMarkKind.Home,
                "It is home, and comes down there",
                $"{settings.Speed} through the air, {leg.Terms.Flight.Wind} of wind against it",
                leg.Begins
            ),
            LegKind.Level or LegKind.Falling or LegKind.Landing or LegKind.Climbing or LegKind.OnGround => null,
        };
    }

    private static string Receiver(LinkSettings link) =>
        link.OnLoss switch
        {
            ReceiverLoss.Silent => "The receiver falls silent",
            ReceiverLoss.Hold => "The receiver gives up, and goes on with the last values",
            ReceiverLoss.Preset => "The receiver sends its presets",
        };

    private static string GivesUp(LinkSettings link) =>
        $"{link.GivesUp.Words} without a packet{(link.GivesUpAfter is null ? ", as we assume: measure it" : "")}";

    private static IEnumerable<(LossMarkKind Kind, string Text, string Because)> Changes(
        Setup setup,
        BoardState before,
        BoardState after
    )
    {
        var loss = setup.Board.Loss;
        if (before.HasSignal && !after.HasSignal)
            yield return (
                LossMarkKind.SignalLost,
                "The board knows that the signal is lost",
                $"{setup.Board.SignalTimeout} without a frame"
            );
        if (Beeps(loss.Beeper, before, after))
            yield return (
                LossMarkKind.Beeps,
                "The craft beeps",
                loss.Beeper == LossBeeper.SinceLoss ? "until frames are back" : "its motors have stopped on a loss"
            );
        if (after.Signal != before.Signal && after.Signal is BoardSignal.Landing or BoardSignal.Returning)
            yield return (
                LossMarkKind.Procedure,
                after.Signal == BoardSignal.Landing ? "It comes down by itself" : "It flies home by itself",
                loss.Grace.Value > 0 ? $"after {loss.Grace.Words} of grace" : "at once, without grace"
            );
        if (before.Motors != MotorLevel.Off && after.Motors == MotorLevel.Off)
            yield return (LossMarkKind.MotorsStop, "The motors stop", Stops(setup, before));
        else if (before.Motors != after.Motors && after.Signal is BoardSignal.Good or BoardSignal.Grace)
            yield return (
                LossMarkKind.MotorsChange,
                after.Motors == MotorLevel.Thrust ? "The motors turn up" : "The motors go back to idle",
                after.Signal == BoardSignal.Grace
                    ? "the board puts centred sticks and low throttle instead"
                    : "by what the receiver sends"
            );
    }

    private static bool Beeps(LossBeeper beeper, BoardState before, BoardState after) =>
        beeper switch
        {
            LossBeeper.None => false,
            LossBeeper.SinceLoss => before.HasSignal && !after.HasSignal,
            LossBeeper.WhenDown => before.Motors != MotorLevel.Off
                && after is { Motors: MotorLevel.Off, HasSignal: false },
        };

    private static string Stops(Setup setup, BoardState before) =>
        before.Signal switch
        {
            BoardSignal.Landing => $"its landing of {setup.Board.Loss.LandingTime.Words} is over",
            BoardSignal.Grace => $"after {setup.Board.Loss.Grace.Words} of grace",
            BoardSignal.Good when setup.Air.OnLoss == ReceiverLoss.Silent => "at once, without grace",
            BoardSignal.Good or BoardSignal.None or BoardSignal.Returning => "by what the receiver sends",
        };

    private static Milliseconds Of(TimeSpan time) => new(time.TotalMilliseconds);
}
