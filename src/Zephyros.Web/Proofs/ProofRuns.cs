using System.Collections.Concurrent;
using Zephyros.Core.Fixes;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Verdicts;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>The newest proof of each setup that somebody asked about. A newer revision replaces an older run.</summary>
/// <remarks>A run that began by itself, or a search for fixes, that nobody looks at any more gives way to one that waits: pages that were
/// left keep nobody waiting. It begins again when somebody looks.</remarks>
/// <param name="store">The setups.</param>
/// <param name="known">What was proven before.</param>
/// <param name="clock">Tells how long ago somebody looked.</param>
/// <param name="runsAtOnce">How many proofs and searches run beside each other; the others wait. Each keeps a core busy, and the pages want one too.</param>
internal sealed class ProofRuns(SetupStore store, KnownVerdicts known, TimeProvider clock, int runsAtOnce) : IDisposable
{
    // Of a hangar that begins them all at once; the next ones follow as it looks again.
    private const int MostGlanced = 2;

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

    /// <summary>The run for the current revision if there is one; begun only while few others are under way, since a hangar looks at all
    /// its craft at once.</summary>
    public ProofRun? Glance(StoredSetup stored)
    {
        bool Fits(ProofRun run) => run.Revision == stored.Revision;
        lock (gate)
            if (
                !(runs.GetValueOrDefault(stored.Id) is { GaveWay: false } run && Fits(run))
                && runs.Values.Count(r => !r.Finished.IsCompleted) >= MostGlanced
            )
                return null;
        return Newest(stored.Id, stored, Fits);
    }

    /// <summary>A run, as another one runs, for what its setup would be after an edit that is only looked at; of each setup the one looked at
    /// last is kept. It gives way when nobody looks at it any more.</summary>
    public ProofRun Ahead(StoredSetup stored, Setup next, ProofRunRequest wish) =>
        // No setup has such an id.
        Newest(
            $"{stored.Id}?",
            stored with
            {
                Setup = next,
            },
            run => run.Wish == wish && SetupJson.Same(run.Setup, next),
            wish
        );

    /// <summary>How the promises of a setup stand by what was proven before.</summary>
    public IReadOnlyList<PromiseStanding> Known(Setup setup)
    {
        var fingerprint = KnownVerdicts.Fingerprint(setup);
        return ProofRun.Standing(setup, code => known.Find(fingerprint, code, twoHands: false)?.Verdict);
    }

    /// <summary>The fixes of a run, for somebody who waits for them.</summary>
    /// <exception cref="OperationCanceledException">Another run took the place of this one, or nobody waits any more.</exception>
    public async Task<IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>>> FixesAsync(
        ProofRun run,
        CancellationToken cancel
    )
    {
        var fixes = run.Fixes();
        while (!fixes.IsCompleted)
        {
            run.Seen = clock.GetTimestamp();
            await Task.WhenAny(fixes, Task.Delay(LeftAfter / 5, clock, cancel));
            cancel.ThrowIfCancellationRequested();
        }

        return await fixes;
    }

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

    private bool IsLeft(ProofRun run) => clock.GetElapsedTime(run.Seen) > LeftAfter;

    /// <summary>Ends all runs.</summary>
    public void Dispose()
    {
        foreach (var run in runs.Values)
            run.Dispose();
        // They stop within a second.
        Task.WhenAll(runs.Values.Select(r => r.Ended)).Wait(TimeSpan.FromSeconds(5));
        room.Dispose();
    }
}
