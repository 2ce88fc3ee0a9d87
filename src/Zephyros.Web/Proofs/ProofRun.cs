using System.Diagnostics;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Setups;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>One run through all promises of one revision, in the background. Several threads may look at it.</summary>
internal sealed class ProofRun : IProgress<ProofProgress>, IDisposable
{
    private readonly Lock gate = new();
    private readonly CancellationTokenSource cancellation = new();
    private readonly Setup setup;
    private readonly ProofRunRequest wish;
    private readonly SemaphoreSlim room;
    private readonly Dictionary<
        string,
        (PromiseVerdict Verdict, int Milliseconds, IReadOnlyList<ProofStepView> Path)
    > done = new(StringComparer.Ordinal);
    private string? current;
    private ProofProgress progress;
    private bool running = true;
    private bool cancelled;

    /// <summary>Begins when there is room for it.</summary>
    /// <param name="stored">What is proven.</param>
    /// <param name="wish">How.</param>
    /// <param name="room">Holds back when so many run already.</param>
    public ProofRun(StoredSetup stored, ProofRunRequest wish, SemaphoreSlim room)
    {
        (setup, Revision, this.wish, this.room) = (stored.Setup, stored.Revision, wish, room);
        Finished = Task.Run(WorkAsync);
    }

    /// <summary>The revision that is proven.</summary>
    public int Revision { get; }

    /// <summary>How it runs.</summary>
    public ProofRunRequest Wish => wish;

    /// <summary>Ends when the run does.</summary>
    public Task Finished { get; }

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
    public void Dispose() => Cancel();

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
            return done.TryGetValue(code, out var known) ? known.Verdict : null;
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
        var known = done.GetValueOrDefault(promise.Code);
        return new PromiseView(
            promise.Code,
            promise.Name,
            promise.Title,
            promise.Principle,
            State(promise, setting, known.Verdict),
            known.Verdict?.Reason ?? "",
            setting?.Note ?? "",
            known.Verdict?.States ?? 0,
            known.Verdict?.Depth ?? 0,
            known.Milliseconds,
            known.Verdict?.Assumptions ?? [],
            known.Path ?? []
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
        var entered = false;
        try
        {
            await room.WaitAsync(token);
            entered = true;
            var limits = new ProofLimits(TwoHands: wish.TwoHands) { Time = TimeSpan.FromSeconds(wish.Seconds) };
            var prover = new Prover(SignalPlan.Compile(setup), limits);
            foreach (var promise in Wanted())
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
                foreach (var promise in Wanted().Where(p => !done.ContainsKey(p.Code)))
                    done[promise.Code] = (NotProven("It was cancelled before its turn."), 0, []);
                (current, running) = (null, false);
                cancellation.Dispose();
            }
        }
    }

    private IEnumerable<Promise> Wanted() =>
        PromiseList.All.Where(p => setup.Promises.GetValueOrDefault(p.Code) is not { On: false });

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

        lock (gate)
            done[promise.Code] = (verdict, (int)clock.ElapsedMilliseconds, path);
    }

    private static PromiseVerdict NotProven(string reason) => new(VerdictKind.NotProven, reason);
}
