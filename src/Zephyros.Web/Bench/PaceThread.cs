using System.Collections.Immutable;

namespace Zephyros.Web.Bench;

/// <summary>The one thread that looks at the clock for all pages that watch a bench. What a page then does, it does on it: a timer of the thread pool
/// wakes three threads for a picture, sixty times a second. Safe for use by several threads.</summary>
internal sealed class PaceThread : IDisposable
{
    // Monitor.Wait cannot wait for a Lock.
    private readonly object gate = new();
    private readonly TimeProvider clock;
    private readonly long start;
    private ImmutableArray<BenchPace> paces = [];
    private TimeSpan sleepsUntil = TimeSpan.MinValue;
    private bool ended;

    /// <summary>Starts the thread.</summary>
    public PaceThread(TimeProvider clock)
    {
        this.clock = clock;
        start = clock.GetTimestamp();
        new Thread(Run) { IsBackground = true, Name = "bench pace" }.Start();
    }

    /// <summary>The time since it was started.</summary>
    public TimeSpan Now => clock.GetElapsedTime(start);

    /// <summary>Looks at the clock for a page, until it leaves.</summary>
    public void Join(BenchPace pace) => ImmutableInterlocked.Update(ref paces, (all, one) => all.Add(one), pace);

    /// <summary>Looks at the clock for it no longer.</summary>
    public void Leave(BenchPace pace) => ImmutableInterlocked.Update(ref paces, (all, one) => all.Remove(one), pace);

    /// <summary>Is told that a page goes on at a time, if nothing else comes before.</summary>
    public void Reach(TimeSpan at)
    {
        lock (gate)
            if (at < sleepsUntil)
                Monitor.Pulse(gate);
    }

    /// <inheritdoc />
    public void Dispose()
    {
        lock (gate)
        {
            ended = true;
            Monitor.Pulse(gate);
        }
    }

    private void Run()
    {
        while (Sleep())
            foreach (var pace in paces)
                pace.Go();
    }

    // Until somebody is due; false once it has ended.
    private bool Sleep()
    {
        lock (gate)
        {
            while (!ended)
            {
                sleepsUntil = paces.Select(p => p.Next).DefaultIfEmpty(TimeSpan.MaxValue).Min();
                if (sleepsUntil == TimeSpan.MaxValue)
                    Monitor.Wait(gate);
                else if (sleepsUntil > Now)
                    Monitor.Wait(gate, (int)Math.Ceiling((sleepsUntil - Now).TotalMilliseconds));
                else
                    break;
            }

            sleepsUntil = TimeSpan.MinValue;
            return !ended;
        }
    }
}
