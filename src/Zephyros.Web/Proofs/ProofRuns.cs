using System.Collections.Concurrent;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>The newest proof of each setup that somebody asked about. A newer revision replaces an older run.</summary>
/// <remarks>A run that began by itself and that nobody looks at any more gives way to one that waits: pages that were left keep nobody
/// waiting. It begins again when somebody looks.</remarks>
/// <param name="store">The setups.</param>
/// <param name="known">What was proven before.</param>
/// <param name="clock">Tells how long ago somebody looked.</param>
/// <param name="runsAtOnce">How many run beside each other; the others wait. Each keeps a core busy, and the pages want one too.</param>
internal sealed class ProofRuns(SetupStore store, KnownVerdicts known, TimeProvider clock, int runsAtOnce) : IDisposable
{
    // A page looks several times a second while a proof runs.
    private static readonly TimeSpan LeftAfter = TimeSpan.FromSeconds(5);

    private readonly ConcurrentDictionary<string, ProofRun> runs = new(StringComparer.Ordinal);
    private readonly Lock gate = new();

    private readonly SemaphoreSlim room = new(runsAtOnce);

    /// <summary>As many at once as there are cores but one.</summary>
    public ProofRuns(SetupStore store, KnownVerdicts known, TimeProvider clock)
        : this(store, known, clock, Math.Max(1, Environment.ProcessorCount - 1)) { }

    /// <summary>The run for the current revision, begun when there is none; null when there is no such setup.</summary>
    public ProofRun? Enter(string id) =>
        store.Find(id) is { } stored ? Newest(id, stored, run => run.Revision == stored.Revision) : null;

    /// <summary>Begins a run anew; null when there is no such setup.</summary>
    public ProofRun? Begin(string id, ProofRunRequest wish) =>
        store.Find(id) is { } stored ? Newest(id, stored, _ => false, wish, asked: true) : null;

    private ProofRun Newest(
        string id,
        StoredSetup stored,
        Func<ProofRun, bool> fits,
        ProofRunRequest? wish = null,
        bool asked = false
    )
    {
        lock (gate)
        {
            var run = runs.GetValueOrDefault(id);
            if (run is null || run.GaveWay || !fits(run))
            {
                run?.Dispose();
                wish ??= run?.Wish ?? new(TwoHands: false);
                run = runs[id] = new ProofRun(stored, wish, asked, room, known);
            }

            run.Seen = clock.GetTimestamp();
            if (run.Waits)
                foreach (var left in runs.Values.Where(IsLeft))
                    left.GiveWay();
            return run;
        }
    }

    private bool IsLeft(ProofRun run) => !run.Asked && clock.GetElapsedTime(run.Seen) > LeftAfter;

    /// <summary>Ends all runs.</summary>
    public void Dispose()
    {
        foreach (var run in runs.Values)
            run.Dispose();
        // They stop within a second.
        Task.WaitAll([.. runs.Values.Select(r => r.Finished)], TimeSpan.FromSeconds(5));
        room.Dispose();
    }
}
