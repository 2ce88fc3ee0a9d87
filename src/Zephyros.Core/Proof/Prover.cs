using System.Diagnostics;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Throttle;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>Proves promises of one setup. What two promises have in common is worked out once. Not safe for use by several threads.</summary>
public sealed class Prover
{
    // So many sets of positions are there at once, at least, when many memories can be.
    private const double SetsAtOnce = 64;

    // As much as so many sets are filled and emptied over and over.
    private const double SetsPassing = 6;

    private readonly SignalPlan plan;
    private readonly ProofLimits limits;
    private readonly StopControls stops;
    private readonly PromiseCheck responseCheck;
    private readonly Dictionary<(ProofLooks Looks, bool Examples), ReducedModel> models = [];
    private readonly Stopwatch clock = new();
    private IProgress<ProofProgress>? progress;
    private CancellationToken cancellation;
    private Explorer? exploring;
    private ThrottleResponse? response;
    private string unanswered = "";
    private bool responded;

    /// <summary>Gets ready.</summary>
    /// <param name="plan">The valid setup, compiled.</param>
    /// <param name="limits">How far it may go.</param>
    public Prover(SignalPlan plan, ProofLimits limits)
    {
        (this.plan, this.limits) = (plan, limits);
        stops = new StopControls(plan, Explore);
        // Whatever the throttle's channel does to the motors.
        responseCheck = new PromiseCheck(BoardView.LowBit | BoardView.ThrustBit, () => new GoalWatch((_, _) => false))
        {
            CourseOf = plan.ChannelAt(plan.Setup.Board.Map.ChannelOf(StickAxis.Throttle))?.Id,
        };
    }

    /// <summary>Explores what a promise asks for. A sequence that breaks it is played on the bench before it counts.</summary>
    /// <param name="promise">The promise.</param>
    /// <param name="progress">Is told how far it has come, or null.</param>
    /// <param name="cancellation">Ends it; the verdict is then "not proven".</param>
    public PromiseVerdict Prove(
        Promise promise,
        IProgress<ProofProgress>? progress = null,
        CancellationToken cancellation = default
    )
    {
        (this.progress, this.cancellation) = (progress, cancellation);
        clock.Restart();
        if (promise.BySettings(plan) is { } settled)
            return settled;
        if (ByResponse(promise) is { } answered)
            return answered;
        var checks = promise.Checks(plan).ToArray();
        if (checks.Length == 0)
            return new PromiseVerdict(VerdictKind.Vacuous, promise.NothingToCheck);
        var verdicts = new List<PromiseVerdict>();
        foreach (var check in checks)
        {
            var verdict = promise.OneIsEnough ? stops.Verdict(check) : Explore(check);
            if (check.About.Length > 0)
                verdict = verdict with { Reason = $"{check.About}: {verdict.Reason}" };
            if (promise.OneIsEnough && verdict.Kind == VerdictKind.Proven)
                return verdict;
            verdicts.Add(verdict);
        }

        var worst = promise.OneIsEnough ? Best(verdicts) : verdicts.Aggregate(Worse);
        return worst with
        {
            Assumptions =
            [
                .. worst.Assumptions,
                .. promise.LooksAtResponse && response is not null ? response.Assumptions : [],
            ],
            States = verdicts.Sum(v => v.States),
            Transitions = verdicts.Sum(v => v.Transitions),
            Depth = verdicts.Max(v => v.Depth),
            Bytes = verdicts.Max(v => v.Bytes),
        };
    }

    private static int Rank(PromiseVerdict verdict) =>
        verdict.Kind switch
        {
            VerdictKind.Broken => 3,
            VerdictKind.Vacuous => 2,
            VerdictKind.NotProven => 1,
            VerdictKind.Proven => 0,
        };

    private static PromiseVerdict Worse(PromiseVerdict one, PromiseVerdict other) =>
        Rank(other) > Rank(one) ? other : one;

    // None of several ways is proven: broken only when all are, and then the one that takes longest to fail is told.
    private static PromiseVerdict Best(List<PromiseVerdict> verdicts) => verdicts.MinBy(v => (Rank(v), -v.Path.Count))!;

    // Says how far it is, and stops when it is told to or its time is up.
    private void Breathe()
    {
        cancellation.ThrowIfCancellationRequested();
        if (clock.Elapsed > limits.Time)
            throw new ProofTimeUpException();
    }

    /// <summary>How many inputs matter to the check to which most do, of those made so far.</summary>
    internal int MostInputs => models.Values.Select(m => m.Scope.Inputs.Count).DefaultIfEmpty().Max();

    /// <summary>The reduced model for what a check looks at.</summary>
    /// <param name="check">The check.</param>
    /// <param name="examples">True for one value of each cell only.</param>
    /// <param name="pieces">Into how many pieces a cell is cut that leaves something open; not together with examples.</param>
    internal ReducedModel ModelFor(PromiseCheck check, bool examples = false, int pieces = 1)
    {
        var looks = ProofLooks.Of(check);
        if (models.TryGetValue((looks, examples), out var model) && pieces == 1)
            return model;
        var scope = examples ? ModelFor(check).Scope : new ProofScope(plan, looks, pieces, Breathe);
        var made = new ReducedModel(scope, examples) { Breath = Breathe };
        // Finer ones are large, and seldom asked for again.
        if (pieces == 1)
            models.Add((looks, examples), made);
        return made;
    }

    /// <summary>An explorer for a check, ready to start.</summary>
    internal Explorer ExplorerFor(PromiseCheck check, Watch watch) => ExplorerFor(check, watch, ModelFor(check));

    /// <summary>An explorer for a check on one of its models, ready to start.</summary>
    internal Explorer ExplorerFor(
        PromiseCheck check,
        Watch watch,
        ReducedModel model,
        Func<Exploration, bool>? judge = null
    ) => new(model, watch, RolesFor(check).Of, limits, judge);

    /// <summary>Writes and plays what an exploration of a check found.</summary>
    internal PathWriter WriterFor(PromiseCheck check, Explorer explorer, ReducedModel model, Exploration found) =>
        new(check, explorer, model, found, RolesFor(check), Breathe);

    /// <summary>What movements are to a check.</summary>
    internal InputRoles RolesFor(PromiseCheck check) => new(plan, check, stops);

    /// <summary>Explores from the starts of a check.</summary>
    internal Exploration Explore(PromiseCheck check, ReducedModel model, Explorer explorer)
    {
        exploring = explorer;
        return explorer.Explore(Starts(model, check.DeclaredStart), progress, cancellation);
    }

    /// <summary>True when the positions and the memory alone are too many to begin with.</summary>
    internal bool TooLarge(ReducedModel model) =>
        model.Grid.Positions / 8 * (SetsPassing + Math.Min(SetsAtOnce, model.Memory.Bound)) > limits.Bytes;

    /// <summary>The positions at the start: all, or those with the guarded controls where the power-on check wants them.</summary>
    internal ulong[] Starts(ReducedModel model, bool declared)
    {
        var grid = model.Grid;
        var starts = new ulong[grid.Words];
        Array.Fill(starts, grid.Used);
        var wanted = WantedCells(model, declared);
        if (wanted.Count == 0)
            return starts;
        Array.Clear(starts);
        for (var word = 0; word < grid.Words; word++)
        for (var bit = 0; bit < 64; bit++)
            if ((grid.Used >> bit & 1) != 0 && wanted.All(w => grid.Cell(w.Input, word, bit) == w.Cell))
                starts[word] |= 1UL << bit;
        return starts;
    }

    /// <summary>Where the guarded controls start; empty when all start anywhere.</summary>
    internal IReadOnlyList<(int Input, int Cell)> WantedCells(ReducedModel model, bool declared)
    {
        var cells = new List<(int Input, int Cell)>();
        // The craft has no power yet, so no telemetry comes from it.
        if (model.Scope.TelemetryInput >= 0)
            cells.Add((model.Scope.TelemetryInput, ProofScope.TelemetryLost));
        if (!declared)
            return cells;
        // What the pilot only adds to the check proves nothing: it is a habit, and neither arms nor lifts the throttle.
        foreach (var item in PowerOnCheck.Of(plan).Where(i => i is { Warns: true, IsOwn: false }))
        {
            var index = model.Scope.Inputs.ToList().FindIndex(i => i.Kind == InputKind.Control && i.Id == item.Control);
            if (index >= 0)
                cells.Add((index, model.Scope.Inputs[index].CellOf(item.Setting)));
        }

        return cells;
    }

    /// <summary>The setup.</summary>
    internal SignalPlan Plan => plan;

    /// <summary>How the throttle answers its stick; null when the stick does not move it. Worked out once.</summary>
    internal ThrottleResponse? Response
    {
        get
        {
            if (responded)
                return response;
            var model = ModelFor(responseCheck);
            if (model.Scope.Obstacle.Length == 0 && !TooLarge(model))
            {
                var explorer = ExplorerFor(responseCheck, responseCheck.Watch());
                if (Explore(responseCheck, model, explorer).Ending == ExplorationEnding.Exhausted)
                    response = ThrottleResponse.Of(model, explorer, Breathe);
                else
                    unanswered = "Too many states to look at the throttle in all of them.";
            }
            else
            {
                unanswered =
                    model.Scope.Obstacle.Length > 0 ? model.Scope.Obstacle : "Too many combinations to begin with.";
            }

            responded = true;
            return response;
        }
    }

    /// <summary>Why <see cref="Response"/> is not known; empty when it is.</summary>
    internal string Unanswered => unanswered;

    /// <summary>Brings a place of the response on the bench.</summary>
    internal PromiseVerdict Judge(ResponsePlace place, string words) =>
        new ResponseCourt(this, responseCheck, Response!).Verdict(place, words);

    private PromiseVerdict? ByResponse(Promise promise)
    {
        try
        {
            return promise.ByResponse(this);
        }
        catch (OperationCanceledException)
        {
            return new PromiseVerdict(VerdictKind.NotProven, $"The proof was cancelled.{HowFar}");
        }
        catch (ProofTimeUpException)
        {
            return TimeUp();
        }
    }

    private PromiseVerdict TimeUp() =>
        new(
            VerdictKind.NotProven,
            $"The time allowed, {Figures.Plain(limits.Time.TotalSeconds, 0)} s, was used up.{HowFar}"
        );

    private PromiseVerdict Explore(PromiseCheck check)
    {
        exploring = null;
        try
        {
            var model = ModelFor(check);
            if (model.Scope.Obstacle.Length > 0)
                return new PromiseVerdict(VerdictKind.NotProven, model.Scope.Obstacle);
            if (TooLarge(model))
                return new PromiseVerdict(
                    VerdictKind.NotProven,
                    $"Explored 0 of about {Figures.Rough(model.Grid.Positions * model.Memory.Bound)} states: too many combinations of positions and memory to begin with."
                );
            var watch = check.Watch();
            var explorer = ExplorerFor(check, watch);
            var found = Explore(check, model, explorer);
            var verdict =
                found.Ending == ExplorationEnding.Broken
                    ? Verdict(check, new Trials(this, check).Of(explorer, model, found))
                    : Verdict(check, watch, explorer, found);
            return Decided(check, verdict) with
            {
                States = found.States,
                Transitions = found.Transitions,
                Depth = found.Depth,
                Bytes = found.Bytes,
                Assumptions = Assumptions(check, model),
            };
        }
        catch (OperationCanceledException)
        {
            return new PromiseVerdict(VerdictKind.NotProven, $"The proof was cancelled.{HowFar}");
        }
        catch (ProofTimeUpException)
        {
            return TimeUp();
        }
    }

    private string HowFar =>
        exploring is { } explorer
            ? $" Explored {Figures.Rough(explorer.States)} of about {Figures.Rough(explorer.Estimate)} states."
            : "";

    // A promise that rests on a movement which could not be decided is not decided itself.
    private PromiseVerdict Decided(PromiseCheck check, PromiseVerdict verdict) =>
        verdict.Kind == VerdictKind.Proven && stops.Undecided(check.LooksAt) is { } named
            ? new PromiseVerdict(VerdictKind.NotProven, $"Whether {named} always stops could not be proven.")
            : verdict;

    private PromiseVerdict Verdict(PromiseCheck check, Watch watch, Explorer explorer, Exploration found)
    {
        if (found.Ending == ExplorationEnding.OverLimit)
            return new PromiseVerdict(
                VerdictKind.NotProven,
                $"Explored {Figures.Rough(found.States)} of about {Figures.Rough(explorer.Estimate)} states, then the memory allowed was used up."
            );
        return check.MustBreak
            ? NeverBack(check, watch, explorer)
            : NothingFound(check.IsWanted, check.Unwanted || watch.PremiseReached);
    }

    // What was taken away never came back.
    private PromiseVerdict NeverBack(PromiseCheck check, Watch watch, Explorer explorer)
    {
        if (!watch.PremiseReached)
            return new PromiseVerdict(VerdictKind.Proven, "That never comes about.");
        var found = explorer.PathToMemory();
        return new PromiseVerdict(
            VerdictKind.Broken,
            "From then on it stays off as long as telemetry arrives and the transmitter is on."
        )
        {
            Path = WriterFor(check, explorer, ModelFor(check), found).PlayToEnd(),
        };
    }

    private static PromiseVerdict NothingFound(bool wanted, bool premiseReached) =>
        (wanted, premiseReached) switch
        {
            (true, _) => new(VerdictKind.Broken, "No sequence of movements reaches it."),
            (_, true) => new(VerdictKind.Proven, "No reachable state breaks it."),
            _ => new(VerdictKind.Vacuous, "What it speaks of is never reached, so it says nothing."),
        };

    // What a sequence that was found, and played or not, says.
    private static PromiseVerdict Verdict(PromiseCheck check, Trial trial)
    {
        var wanted = check.IsWanted;
        if (trial.Ending == TrialEnding.Excluded)
            return NothingFound(wanted, check.Unwanted || trial.PremiseReached);
        var moves = trial.Path.Count == 2 ? "One move" : $"{trial.Path.Count - 1} moves";
        return (trial.Ending, wanted) switch
        {
            (TrialEnding.Played, true) => new(VerdictKind.Proven, $"{moves} reached it on the simulated bench."),
            (_, true) => new(
                VerdictKind.NotProven,
                $"{moves} may reach it, but did not on the simulated bench, nor did any other tried."
            ),
            (TrialEnding.Played, false) => new(
                VerdictKind.Broken,
                (moves, trial.Shortest) switch
                {
                    ("One move", _) => "One move breaks it, played on the simulated bench.",
                    (_, true) => $"{moves} break it and no fewer do, played on the simulated bench.",
                    _ => $"{moves} break it, played on the simulated bench; fewer may.",
                }
            )
            {
                Path = trial.Path,
            },
            _ => new(
                VerdictKind.NotProven,
                $"{moves} may break it, but on the simulated bench it did not come out so, nor did any other tried."
            )
            {
                Path = trial.Path,
            },
        };
    }

    private string[] Assumptions(PromiseCheck check, ReducedModel model)
    {
        var left = plan
            .Model.Controls.Where(c => model.Scope.Inputs.All(i => i.Id != c.Key))
            .Select(c => c.Value.Name)
            .ToArray();
        return
        [
            check.DeclaredStart
                ? "Starts with the guarded controls where the power-on check wants them, all others anywhere."
                : "Starts with all controls anywhere, the transmitter just switched on, the craft without power.",
            limits.TwoHands
                ? "Tried: single movements, and pairs of controls that change within one frame."
                : "Tried: single movements, in any order and from anywhere to anywhere.",
            "Delays and presses, and the board's own times beside them, end in every order, and at the same moment, that their lengths allow; the board's own times among each other in any order.",
            "Telemetry comes, goes and reads anything within its range at any time, also 0 at the start.",
            "Frames may be missing for any time; what is moved meanwhile arrives at once.",
            $"A transmitter that was switched off takes {plan.Setup.Transmitter.RestartTime} at least until it sends again.",
            plan.Wire.FramesForAll == 1
                ? "All channels arrive together, frame by frame."
                : $"All channels arrive together; {plan.Wire.Name} sends them in {plan.Wire.FramesForAll} frames.",
            left.Length == 0
                ? "Every control makes a difference to it."
                : $"Makes no difference to it: {string.Join(", ", left)}.",
        ];
    }
}
