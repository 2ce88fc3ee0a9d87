using Zephyros.Core.Bench;
using Zephyros.Core.Board;

namespace Zephyros.Core.Loss;

/// <summary>One loss, played on a bench from the last packet on: what the board did and what the transmitter said, each at its time.</summary>
internal sealed class LossRun
{
    /// <summary>So long the signal stays away at least; a landing that lasts longer is waited for.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromSeconds(60);

    private LossRun(TimeSpan loss, TimeSpan givesUp) => (Loss, GivesUp) = (loss, givesUp);

    /// <summary>When the last packet came, on the bench's clock.</summary>
    public TimeSpan Loss { get; }

    /// <summary>When the receiver takes the signal for lost, after the last packet. Until then it goes on with the last values, and so do
    /// the hands.</summary>
    public TimeSpan GivesUp { get; }

    /// <summary>The states of the board, each with when it began after the last packet and the bench as it stood then; the first is that
    /// before the loss, at 0, and one more stands where the receiver gives up.</summary>
    public List<(TimeSpan After, BoardState State, BenchRun Bench)> States { get; } = [];

    /// <summary>What the transmitter said and when it missed telemetry.</summary>
    public List<(TimeSpan After, LogEntry Entry)> Told { get; } = [];

    /// <summary>Plays a loss.</summary>
    /// <param name="armed">The bench before it; it stays as it is.</param>
    /// <param name="loss">When the last packet comes, not before the time of the bench.</param>
    /// <param name="until">How long after the last packet to play.</param>
    public static LossRun Play(BenchRun armed, TimeSpan loss, TimeSpan until)
    {
        var bench = armed.Fork();
        bench.AdvanceTo(loss);
        var run = new LossRun(loss, bench.Setup.Air.GivesUp.ToTimeSpan());
        var known = bench.Log.Count;
        bench.SetTelemetry(false);
        run.States.Add((TimeSpan.Zero, bench.Board, bench.Fork()));
        run.Watch(bench, loss + run.GivesUp, ref known);
        bench.AdvanceTo(loss + run.GivesUp);
        bench.SetLink(false);
        run.States.Add((run.GivesUp, bench.Board, bench.Fork()));
        run.Watch(bench, loss + until, ref known);
        return run;
    }

    private void Watch(BenchRun bench, TimeSpan until, ref long known)
    {
        while (bench.NextAt <= until)
        {
            bench.AdvanceTo(bench.NextAt);
            Look(bench, ref known);
        }
    }

    private void Look(BenchRun bench, ref long known)
    {
        var after = bench.Now - Loss;
        if (bench.Board != States[^1].State)
            States.Add((after, bench.Board, bench.Fork()));
        if (bench.Log.Count == known)
            return;
        foreach (var entry in bench.Log.After(known))
            if (entry.Kind is LogKind.Said or LogKind.Missed)
                Told.Add((after, entry));
        known = bench.Log.Count;
    }

    /// <summary>When the last thing happened, after the last packet.</summary>
    public TimeSpan LastEvent =>
        Told.Count > 0 && Told[^1].After > States[^1].After ? Told[^1].After : States[^1].After;

    /// <summary>The bench at a time after the last packet, to be played on.</summary>
    public BenchRun At(TimeSpan after)
    {
        // What stands at one instant twice is told apart by its order: the receiver has given up in the later one.
        var bench = States.Last(s => s.After <= after).Bench.Fork();
        bench.AdvanceTo(Loss + after);
        return bench;
    }
}
