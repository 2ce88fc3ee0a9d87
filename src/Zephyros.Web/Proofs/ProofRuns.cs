using System.Collections.Concurrent;
using Zephyros.Storage;

namespace Zephyros.Web.Proofs;

/// <summary>The newest proof of each setup that somebody asked about. A newer revision replaces an older run.</summary>
internal sealed class ProofRuns(SetupStore store)
{
    private readonly ConcurrentDictionary<string, ProofRun> runs = new(StringComparer.Ordinal);
    private readonly Lock gate = new();

    /// <summary>The run for the current revision, begun when there is none; null when there is no such setup.</summary>
    public ProofRun? Enter(string id) =>
        store.Find(id) is { } stored
            ? Newest(id, stored, run => run.Revision == stored.Revision, twoHands: null)
            : null;

    /// <summary>Begins a run anew; null when there is no such setup.</summary>
    public ProofRun? Begin(string id, bool twoHands) =>
        store.Find(id) is { } stored ? Newest(id, stored, _ => false, twoHands) : null;

    private ProofRun Newest(string id, StoredSetup stored, Func<ProofRun, bool> fits, bool? twoHands)
    {
        lock (gate)
        {
            var known = runs.GetValueOrDefault(id);
            if (known is not null && fits(known))
                return known;
            known?.Dispose();
            return runs[id] = new ProofRun(stored, twoHands ?? known?.TwoHands ?? false);
        }
    }
}
