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
    private readonly Dictionary<
        string,
        (PromiseVerdict Verdict, int Milliseconds, IReadOnlyList<ProofStepView> Path)
    > done = new(StringComparer.Ordinal);
    private string? current;
    private ProofProgress progress;
    private bool running = true;
    private bool cancelled;

    public ProofRun(StoredSetup stored, bool twoHands)
    {
        (setup, Revision, TwoHands) = (stored.Setup, stored.Revision, twoHands);
        Finished = Task.Run(Work);
    }

    /// <summary>The revision that is proven.</summary>
    public int Revision { get; }

    /// <summary>True when pairs of controls are tried as well.</summary>
    public bool TwoHands { get; }

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
                TwoHands,
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

    private void Work()
    {
        try
        {
            var token = cancellation.Token;
            var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits(TwoHands: TwoHands));
            foreach (var promise in PromiseList.All)
            {
                if (token.IsCancellationRequested)
                    break;
                if (setup.Promises.GetValueOrDefault(promise.Code) is { On: false })
                    continue;
                lock (gate)
                    (current, progress) = (promise.Code, default);
                var clock = Stopwatch.StartNew();
                var verdict = prover.Prove(promise, this, token);
                var took = (int)clock.ElapsedMilliseconds;
                var path = ProofSteps.Of(setup, verdict.Path);
                lock (gate)
                    done[promise.Code] = (verdict, took, path);
            }
        }
        finally
        {
            lock (gate)
            {
                (current, running) = (null, false);
                cancellation.Dispose();
            }
        }
    }
}
