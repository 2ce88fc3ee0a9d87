using System.Collections.Concurrent;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>The newest proof of each setup that somebody asked about. A newer revision replaces an older run.</summary>
internal sealed class ProofRuns(SetupStore store) : IDisposable
{
    private readonly ConcurrentDictionary<string, ProofRun> runs = new(StringComparer.Ordinal);
    private readonly Lock gate = new();

    // Each run keeps a core busy; the pages want one too.
    private readonly SemaphoreSlim room = new(Math.Max(1, Environment.ProcessorCount - 1));

    /// <summary>The run for the current revision, begun when there is none; null when there is no such setup.</summary>
    public ProofRun? Enter(string id) =>
        store.Find(id) is { } stored ? Newest(id, stored, run => run.Revision == stored.Revision, wish: null) : null;

    /// <summary>Begins a run anew; null when there is no such setup.</summary>
    public ProofRun? Begin(string id, ProofRunRequest wish) =>
        store.Find(id) is { } stored ? Newest(id, stored, _ => false, wish) : null;

    private ProofRun Newest(string id, StoredSetup stored, Func<ProofRun, bool> fits, ProofRunRequest? wish)
    {
        lock (gate)
        {
            var known = runs.GetValueOrDefault(id);
            if (known is not null && fits(known))
                return known;
            known?.Dispose();
            return runs[id] = new ProofRun(stored, wish ?? known?.Wish ?? new(TwoHands: false), room);
        }
    }

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
