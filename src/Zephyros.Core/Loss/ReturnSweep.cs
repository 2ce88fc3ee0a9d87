using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>What happens when the signal comes back, over all times at which it can.</summary>
/// <remarks>Between two changes of what the board does nothing that a return meets is another, but for the frame that brings it: around
/// each change the times are looked at closely, and every instant at which the outcome changes is found by halving.</remarks>
internal static class ReturnSweep
{
    // So long the board is looked at after the signal is back: longer than frames, guards and the model's waiting take. Our own figure.
    private static readonly TimeSpan Settles = TimeSpan.FromSeconds(1);

    private static readonly TimeSpan Finest = TimeSpan.FromMilliseconds(0.01);

    /// <summary>The spans, in order.</summary>
    /// <param name="run">The loss, without a return.</param>
    /// <param name="frame">The longest time between two frames.</param>
    /// <param name="until">The latest return that is looked at.</param>
    public static IReadOnlyList<ReturnSpan> Of(LossRun run, TimeSpan frame, TimeSpan until)
    {
        List<(TimeSpan At, ReturnOutcome Outcome)> found = [];
        foreach (var at in Times(run, frame, until))
        {
            var outcome = At(run, at);
            if (found.Count > 0 && found[^1].Outcome != outcome)
                Halve(run, found, (at, outcome));
            else
                found.Add((at, outcome));
        }

        List<ReturnSpan> spans = [];
        foreach (var (at, outcome) in found)
        {
            if (spans.Count > 0 && spans[^1].Outcome == outcome)
                continue;
            if (spans.Count > 0)
                spans[^1] = spans[^1] with { To = Of(at) };
            spans.Add(
                new ReturnSpan(
                    Of(at),
                    Of(until),
                    outcome,
                    Words(outcome),
                    outcome is ReturnOutcome.ThrottleThrown or ReturnOutcome.BrokenOff or ReturnOutcome.ArmedAgain
                )
            );
        }

        return spans;
    }

    /// <summary>What happens when the signal comes back at one time.</summary>
    internal static ReturnOutcome At(LossRun run, TimeSpan at)
    {
        var bench = run.At(at);
        bench.SetTelemetry(true);
        bench.SetLink(true);
        var back = bench.Now;
        var before = bench.Board;
        var armed = before.Armed;
        ReturnOutcome? returned = null;
        while (bench.NextAt <= back + Settles)
        {
            bench.AdvanceTo(bench.NextAt);
            var state = bench.Board;
            if (state == before)
                continue;
            if (state.Armed && !armed)
                return ReturnOutcome.ArmedAgain;
            armed = state.Armed;
            if (state.HasSignal && !before.HasSignal)
                returned = Taken(before, state);
            before = state;
        }

        return returned
            ?? (
                before.Signal is BoardSignal.Landing or BoardSignal.Returning ? ReturnOutcome.FliesOn
                : before is { HasSignal: true, Armed: true } ? ReturnOutcome.NotNoticed
                : Off(before)
            );
    }

    // The board takes the pilot's signal again.
    private static ReturnOutcome Taken(BoardState before, BoardState state) =>
        (before.Signal, state.Armed) switch
        {
            (BoardSignal.Landing or BoardSignal.Returning, true) => ReturnOutcome.BrokenOff,
            (_, true) => state.Motors > before.Motors ? ReturnOutcome.ThrottleThrown : ReturnOutcome.Resumed,
            (_, false) => Off(state),
        };

    private static ReturnOutcome Off(BoardState state) =>
        state.Standing is ArmRefusal.None ? ReturnOutcome.StaysOff : ReturnOutcome.MustCycle;

    private static string Words(ReturnOutcome outcome) =>
        outcome switch
        {
            ReturnOutcome.NotNoticed => "The board has noticed nothing: the craft follows the sticks again.",
            ReturnOutcome.Resumed => "The board had only waited: the craft follows the sticks again, as it was.",
            ReturnOutcome.ThrottleThrown =>
                "The motors had been taken back: the throttle, where the stick stands, is thrown at the craft.",
            ReturnOutcome.BrokenOff =>
                "What the craft did by itself is broken off: the throttle, where the stick stands, is thrown at the craft.",
            ReturnOutcome.FliesOn => "The board goes on by itself until a stick is moved.",
            ReturnOutcome.MustCycle => "The motors stay off until the arm switch was off and on again.",
            ReturnOutcome.ArmedAgain => "The motors start again, and no hand has asked for it.",
            ReturnOutcome.StaysOff => "The motors stay off; the arm switch is not on.",
        };

    private static IEnumerable<TimeSpan> Times(LossRun run, TimeSpan frame, TimeSpan until)
    {
        SortedSet<TimeSpan> times = [TimeSpan.Zero, until];
        foreach (var (after, _, _) in run.States)
        {
            times.Add(after - (2 * frame));
            times.Add(after - frame);
            times.Add(after - TimeSpan.FromTicks(1));
            times.Add(after);
            times.Add(after + frame);
        }

        // And evenly, for what happens at the transmitter alone.
        for (var at = TimeSpan.Zero; at < until; at += TimeSpan.FromSeconds(10))
            times.Add(at);
        return times.Where(t => t >= TimeSpan.Zero && t <= until);
    }

    private static void Halve(
        LossRun run,
        List<(TimeSpan At, ReturnOutcome Outcome)> found,
        (TimeSpan At, ReturnOutcome Outcome) next
    )
    {
        var (before, after) = (found[^1], next);
        while (after.At - before.At > Finest)
        {
            var middle = before.At + ((after.At - before.At) / 2);
            var outcome = At(run, middle);
            if (outcome == before.Outcome)
                before = (middle, outcome);
            else
                after = (middle, outcome);
        }

        found.Add(before);
        found.Add(after);
        // The other side can hold another outcome than the one that was sought.
        if (after.Outcome != next.Outcome)
            Halve(run, found, next);
    }

    private static Milliseconds Of(TimeSpan time) => new(time.TotalMilliseconds);
}
