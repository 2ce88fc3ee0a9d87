using System.Diagnostics;
using Zephyros.Core.Fixes;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Verdicts;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>One run through all promises of one revision, in the background. Several threads may look at it.</summary>
internal sealed class ProofRun : IProgress<ProofProgress>, IDisposable
{
    // A fix that takes more to prove is not looked for.
    private static readonly ProofLimits FixLimits = new(Bytes: 200L << 20);

    private readonly Lock gate = new();
    private readonly CancellationTokenSource cancellation = new();
    private readonly Setup setup;
    private readonly ProofRunRequest wish;
    private readonly SemaphoreSlim room;
    private readonly KnownVerdicts known;
    private readonly string fingerprint;
    private readonly Dictionary<string, KnownVerdict> done = new(StringComparer.Ordinal);
    private readonly HashSet<string> left = new(StringComparer.Ordinal);
    private readonly CancellationTokenSource replaced = new();
    private FixSearch? search;
    private string? current;
    private ProofProgress progress;
    private bool running = true;
    private bool entered;
    private bool cancelled;

    /// <summary>Begins when there is room for it.</summary>
    /// <param name="stored">What is proven.</param>
    /// <param name="wish">How.</param>
    /// <param name="asked">True when somebody asked for it, and all of it: then what is known already is proven anew.</param>
    /// <param name="room">Holds back when so many run already.</param>
    /// <param name="known">What was proven before.</param>
    public ProofRun(StoredSetup stored, ProofRunRequest wish, bool asked, SemaphoreSlim room, KnownVerdicts known)
    {
        (setup, Revision, this.wish, this.room, this.known) = (stored.Setup, stored.Revision, wish, room, known);
        (Asked, fingerprint) = (asked, KnownVerdicts.Fingerprint(stored.Setup));
        Finished = Task.Run(WorkAsync);
    }

    /// <summary>True when somebody asked for it; false when it began by itself, because somebody looked.</summary>
    public bool Asked { get; }

    /// <summary>When somebody looked at it last, as a time stamp of the clock.</summary>
    public long Seen { get; set; }

    /// <summary>True while it, or its search for fixes, waits until there is room for it.</summary>
    public bool Waits
    {
        get
        {
            lock (gate)
                return running ? !entered : search is { Waits: true };
        }
    }

    /// <summary>True when it was ended for another one; what it had proven is known.</summary>
    public bool GaveWay { get; private set; }

    /// <summary>Ends what still runs of it for another one: its search for fixes, and the run itself unless somebody asked for it.</summary>
    public void GiveWay()
    {
        lock (gate)
        {
            search?.End();
            if (Asked)
                return;
            GaveWay = running;
        }

        Cancel();
    }

    /// <summary>The revision that is proven.</summary>
    public int Revision { get; }

    /// <summary>How it runs.</summary>
    public ProofRunRequest Wish => wish;

    /// <summary>Ends when the run does.</summary>
    public Task Finished { get; }

    /// <summary>Ends when the run and its search for fixes do, however they end.</summary>
    public Task Ended => Task.WhenAny(Task.WhenAll(Finished, search?.Found ?? Task.CompletedTask));

    /// <summary>The setup that is proven.</summary>
    public Setup Setup => setup;

    /// <summary>Cancels the run; what was proven stays.</summary>
    public void Cancel()
    {
        lock (gate)
        {
            cancelled |= running;
            if (running)
                cancellation.Cancel();
        }
    }

    /// <summary>Cancels the run for good.</summary>
    public void Dispose()
    {
        Cancel();
        replaced.Cancel();
    }

    /// <summary>How the promises stand; those that the run was ended before, or in the middle of, are not known.</summary>
    /// <param name="running">True while it runs.</param>
    public IReadOnlyList<PromiseStanding> Standings(out bool running)
    {
        lock (gate)
        {
            running = this.running;
            return Standing(setup, code => left.Contains(code) ? null : done.GetValueOrDefault(code)?.Verdict);
        }
    }

    /// <summary>How the promises of a setup stand.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="of">The verdict on a promise by its code, or null.</param>
    public static IReadOnlyList<PromiseStanding> Standing(Setup setup, Func<string, PromiseVerdict?> of) =>
        [.. PromiseList.All.Select(p => new PromiseStanding(p, of(p.Code), setup.Promises.GetValueOrDefault(p.Code)))];

    /// <summary>The fixes of all promises that are not kept, by code; searched for once, when somebody asks first, and anew when the
    /// search was ended for another one.</summary>
    /// <returns>The search, which goes on until another run takes the place of this one, or nobody looks and others wait.</returns>
    public Task<IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>>> Fixes()
    {
        lock (gate)
        {
            if (!Asked && known.FindFixes(KnownVerdicts.FixesFingerprint(setup), wish.TwoHands) is { } found)
                return Task.FromResult(found);
            if (search is null || search.Found.IsCanceled && !replaced.IsCancellationRequested)
                search = new FixSearch(Finished, Search, room, replaced.Token);
            return search.Found;
        }
    }

    private IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>> Search(CancellationToken token)
    {
        var verdicts = Verdicts();
        Promise[] broken =
        [
            .. PromiseList.All.Where(p =>
                verdicts.GetValueOrDefault(p.Code) is VerdictKind.Broken or VerdictKind.Vacuous
            ),
        ];
        var fixes = ProvenFixes.ForEach(setup, broken, verdicts, FixLimits, token);
        lock (gate)
        {
            // A run that was ended before its end knows less than another one may ask for.
            if (!cancelled && left.Count == 0)
                known.KeepFixes(KnownVerdicts.FixesFingerprint(setup), wish.TwoHands, fixes);
        }

        return fixes;
    }

    /// <inheritdoc />
    public void Report(ProofProgress value)
    {
        lock (gate)
            progress = value;
    }

    /// <summary>The verdict of a promise, or null when it is not known.</summary>
    public PromiseVerdict? VerdictOf(string code)
    {
        lock (gate)
            return done.GetValueOrDefault(code)?.Verdict;
    }

    /// <summary>The verdicts that are known.</summary>
    public IReadOnlyDictionary<string, VerdictKind> Verdicts()
    {
        lock (gate)
            return done.ToDictionary(d => d.Key, d => d.Value.Verdict.Kind, StringComparer.Ordinal);
    }

    /// <summary>How it stands.</summary>
    public ProofView View()
    {
        lock (gate)
            return new ProofView(
                Revision,
                running,
                cancelled,
                wish.TwoHands,
                wish.Seconds,
                progress.States,
                progress.Estimate,
                [.. PromiseList.All.Select(View)]
            );
    }

    private PromiseView View(Promise promise)
    {
        var setting = setup.Promises.GetValueOrDefault(promise.Code);
        var proven = done.GetValueOrDefault(promise.Code);
        return new PromiseView(
            promise.Code,
            promise.Name,
            promise.Title,
            promise.Principle,
            State(promise, setting, proven?.Verdict),
            proven?.Verdict.Reason ?? "",
            setting?.Note ?? "",
            proven?.Verdict.States ?? 0,
            proven?.Verdict.Depth ?? 0,
            proven?.Milliseconds ?? 0,
            proven?.Verdict.Assumptions ?? [],
            proven?.Path ?? []
        );
    }

    private PromiseState State(Promise promise, PromiseSetting? setting, PromiseVerdict? verdict)
    {
        if (setting is { On: false })
            return PromiseState.Off;
        return verdict?.Kind switch
        {
            VerdictKind.Proven => PromiseState.Proven,
            VerdictKind.Broken => PromiseState.Broken,
            VerdictKind.NotProven => PromiseState.NotProven,
            VerdictKind.Vacuous => PromiseState.Vacuous,
            _ => current == promise.Code ? PromiseState.Running : PromiseState.Waiting,
        };
    }

    private async Task WorkAsync()
    {
        var token = cancellation.Token;
        try
        {
            TakeKnown();
            if (!Left().Any())
                return;
            await room.WaitAsync(token);
            lock (gate)
                entered = true;
            var limits = new ProofLimits(TwoHands: wish.TwoHands) { Time = TimeSpan.FromSeconds(wish.Seconds) };
            var prover = new Prover(SignalPlan.Compile(setup), limits);
            foreach (var promise in Left().ToArray())
            {
                if (token.IsCancellationRequested)
                    break;
                Prove(prover, promise, token);
            }
        }
        catch (OperationCanceledException)
        {
            // It was cancelled while it waited for its turn.
        }
        finally
        {
            if (entered)
                room.Release();
            lock (gate)
            {
                left.UnionWith(Left().Select(p => p.Code));
                foreach (var promise in Left().ToArray())
                    done[promise.Code] = new(NotProven("It was cancelled before its turn."), 0, []);
                (current, running) = (null, false);
                cancellation.Dispose();
            }
        }
    }

    private IEnumerable<Promise> Wanted() =>
        PromiseList.All.Where(p => setup.Promises.GetValueOrDefault(p.Code) is not { On: false });

    private IEnumerable<Promise> Left() => Wanted().Where(p => !done.ContainsKey(p.Code));

    private void TakeKnown()
    {
        if (Asked)
            return;
        lock (gate)
            foreach (var promise in Wanted())
                if (known.Find(fingerprint, promise.Code, wish.TwoHands) is { } verdict)
                    done[promise.Code] = verdict;
    }

    private void Prove(Prover prover, Promise promise, CancellationToken token)
    {
        lock (gate)
            (current, progress) = (promise.Code, default);
        var clock = Stopwatch.StartNew();
        PromiseVerdict verdict;
        IReadOnlyList<ProofStepView> path = [];
        try
        {
            verdict = prover.Prove(promise, this, token);
            path = ProofSteps.Of(setup, verdict.Path);
        }
        catch (Exception error) when (error is not OutOfMemoryException)
        {
            // A promise that cannot be worked out is one of which nothing is known; the others are proven all the same.
            verdict = NotProven($"An error ended the proof of it: {error.Message}");
        }

        var proven = new KnownVerdict(verdict, (int)clock.ElapsedMilliseconds, path);
        known.Keep(fingerprint, promise.Code, wish.TwoHands, proven);
        lock (gate)
        {
            done[promise.Code] = proven;
            // What was ended on its way says nothing of the promise.
            if (verdict.Kind == VerdictKind.NotProven && token.IsCancellationRequested)
                left.Add(promise.Code);
        }
    }

    private static PromiseVerdict NotProven(string reason) => new(VerdictKind.NotProven, reason);
}
