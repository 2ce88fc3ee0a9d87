using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Times for the steps of a sequence, so that on the bench every timer ends in the step in which the proof says so: the earliest
/// times that all lengths allow.</summary>
internal sealed class PathSchedule
{
    // What ends by itself is seen when the model is worked out next.
    private static readonly double ModelPeriod = BenchTransmitter.ModelPeriod.TotalMilliseconds;

    private readonly SignalPlan plan;
    private readonly List<(int From, int To, double AtLeast)> bounds = [];
    private readonly double settling;

    private PathSchedule(SignalPlan plan)
    {
        this.plan = plan;
        settling = ((1 + plan.Wire.FramesForAll) * Period) + 1;
    }

    private double Period => plan.Setup.Wire.FramePeriod.Value;

    /// <summary>How long to wait before each step, and how long after it until the board has seen it.</summary>
    /// <param name="model">The model.</param>
    /// <param name="system">Its situations.</param>
    /// <param name="path">The moves with the states after them.</param>
    /// <param name="situations">The situation after each.</param>
    /// <param name="waits">How long a move takes that no timer ends, by its place.</param>
    public static IReadOnlyList<(TimeSpan Before, TimeSpan After)> Of(
        ReducedModel model,
        SituationSystem system,
        IReadOnlyList<(ProofMove? Move, ProofState State)> path,
        IReadOnlyList<Situation> situations,
        Func<int, TimeSpan> waits
    )
    {
        var schedule = new PathSchedule(model.Scope.Plan);
        double[] after = [.. situations.Select((s, i) => schedule.Settling(system, s, path[i].Move))];
        for (var i = 1; i < path.Count; i++)
        {
            schedule.AtLeast(i - 1, i, after[i - 1]);
            if (path[i].Move?.Kind == MoveKind.SlowStep)
                schedule.AtLeast(i - 1, i, waits(i).TotalMilliseconds);
        }

        schedule.ModelTimers(model, path);
        schedule.BoardTimers(path, situations);
        schedule.Restarts(path);
        double[] at =
            schedule.Solve(path.Count) ?? [.. Enumerable.Range(0, path.Count).Select(i => i == 0 ? 0 : double.NaN)];
        var times = new List<(TimeSpan, TimeSpan)> { (TimeSpan.Zero, TimeSpan.FromMilliseconds(after[0])) };
        for (var i = 1; i < path.Count; i++)
        {
            // Times that contradict each other: each step takes what it takes alone.
            var before = double.IsNaN(at[i]) ? waits(i).TotalMilliseconds : at[i] - at[i - 1] - after[i - 1];
            times.Add((TimeSpan.FromMilliseconds(Math.Max(0, before)), TimeSpan.FromMilliseconds(after[i])));
        }

        return times;
    }

    // A board that waits for frames must not wait longer than the sequence says.
    private double Settling(SituationSystem system, Situation now, ProofMove? move)
    {
        var unaware = now.Board is { Powered: true, HasSignal: true } && !system.FramesArrive(now);
        if (!unaware)
            return settling;
        return move?.Kind is MoveKind.ModelTime or MoveKind.BoardTime ? ModelPeriod + 1 : 1;
    }

    private void AtLeast(int from, int to, double time) => bounds.Add((from, to, time));

    private void AtMost(int from, int to, double time) => bounds.Add((to, from, -time));

    private void ModelTimers(ReducedModel model, IReadOnlyList<(ProofMove? Move, ProofState State)> path)
    {
        for (var part = 0; part < model.Scope.Parts.Count; part++)
        {
            var began = -1;
            for (var i = 0; i < path.Count; i++)
            {
                var memory = path[i].State.Memory;
                var waits = model.Memory.Waits(memory, part);
                var was = i > 0 ? path[i - 1].State.Memory : 0;
                var anew = waits && (began < 0 || model.Memory.Part(memory, part) != model.Memory.Part(was, part));
                if (began >= 0 && (!waits || anew))
                {
                    var length = model.Memory.Length(was, part);
                    var ends =
                        path[i].Move is { Kind: MoveKind.ModelTime } move
                        && (model.Memory.EndingSets[move.Value] >> part & 1) != 0;
                    if (ends)
                        AtLeast(began, i, length);
                    AtMost(began, i, ends ? length + ModelPeriod : length - ModelPeriod);
                    began = -1;
                }

                if (anew)
                    began = i;
            }

            if (began >= 0)
                AtMost(
                    began,
                    path.Count - 1,
                    model.Memory.Length(path[^1].State.Memory, part) - ModelPeriod - settling
                );
        }
    }

    private void BoardTimers(
        IReadOnlyList<(ProofMove? Move, ProofState State)> path,
        IReadOnlyList<Situation> situations
    )
    {
        foreach (var timer in Enum.GetValues<BoardTimer>())
        {
            if (plan.Board.Duration(timer) is not { } duration)
                continue;
            var began = -1;
            for (var i = 0; i < path.Count; i++)
            {
                var runs =
                    BoardMachine.Runs(plan.Board, situations[i].Board, timer)
                    && (timer != BoardTimer.FramesMissing || situations[i].Radio != RadioState.Up);
                if (began >= 0 && !runs)
                {
                    var ends = path[i].Move is { Kind: MoveKind.BoardTime } move && move.Value == (int)timer;
                    if (ends)
                        AtLeast(began, i, duration.Value);
                    AtMost(began, i, ends ? duration.Value + settling : duration.Value - (2 * Period));
                    began = -1;
                }
                else if (began < 0 && runs)
                {
                    began = i;
                }
            }
        }
    }

    private void Restarts(IReadOnlyList<(ProofMove? Move, ProofState State)> path)
    {
        var off = -1;
        for (var i = 0; i < path.Count; i++)
            if (path[i].Move?.Kind == MoveKind.TransmitterOff)
                off = i;
            else if (path[i].Move?.Kind == MoveKind.TransmitterOn && off >= 0)
                AtLeast(off, i, plan.Setup.Transmitter.RestartTime.Value);
    }

    // The earliest times; null when no times do.
    private double[]? Solve(int count)
    {
        var at = new double[count];
        for (var round = 0; round <= count; round++)
        {
            var moved = false;
            foreach (var (from, to, time) in bounds)
                if (at[from] + time > at[to] + 1e-6)
                    (at[to], moved) = (at[from] + time, true);
            if (!moved)
                return at;
        }

        return null;
    }
}
