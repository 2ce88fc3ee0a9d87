using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>Proves promises of one setup. What two promises have in common is worked out once. Not safe for use by several threads.</summary>
public sealed class Prover(SignalPlan plan, ProofLimits limits)
{
    private const double MostWords = 1 << 26;

    private readonly Dictionary<
        (ulong Bits, string Cues, string? Standing, bool Examples, int Pieces),
        ReducedModel
    > models = [];

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
        if (promise.BySettings(plan) is { } settled)
            return settled;
        PromiseVerdict? worst = null;
        foreach (var check in promise.Checks(plan))
        {
            var verdict = Explore(check, progress, cancellation);
            if (promise.OneIsEnough && verdict.Kind == VerdictKind.Proven)
                return verdict with { Reason = $"{check.About}: {verdict.Reason}" };
            verdict = check.About.Length > 0 ? verdict with { Reason = $"{check.About}: {verdict.Reason}" } : verdict;
            worst = worst is null ? verdict : Worse(worst, verdict);
        }

        return worst ?? new PromiseVerdict(VerdictKind.Vacuous, "There is nothing in this setup that it speaks of.");
    }

    // The worse of two verdicts; the figures of both together.
    private static PromiseVerdict Worse(PromiseVerdict one, PromiseVerdict other)
    {
        static int Rank(PromiseVerdict verdict) =>
            verdict.Kind switch
            {
                VerdictKind.Broken => 3,
                VerdictKind.Vacuous => 2,
                VerdictKind.NotProven => 1,
                _ => 0,
            };
        var worse = Rank(other) > Rank(one) ? other : one;
        return worse with
        {
            States = one.States + other.States,
            Transitions = one.Transitions + other.Transitions,
            Depth = Math.Max(one.Depth, other.Depth),
            Bytes = Math.Max(one.Bytes, other.Bytes),
        };
    }

    /// <summary>How many inputs matter to the check to which most do, of those made so far.</summary>
    internal int MostInputs => models.Values.Select(m => m.Scope.Inputs.Count).DefaultIfEmpty().Max();

    /// <summary>The reduced model for what a check looks at.</summary>
    /// <param name="check">The check.</param>
    /// <param name="examples">True for one value of each cell only.</param>
    /// <param name="pieces">Into how many pieces a cell is cut that leaves something open.</param>
    internal ReducedModel ModelFor(PromiseCheck check, bool examples = false, int pieces = 1)
    {
        var key = (check.Bits, string.Join('\n', check.Cues), check.Standing, examples, pieces);
        if (models.TryGetValue(key, out var model))
            return model;
        var scope = examples
            ? ModelFor(check, pieces: pieces).Scope
            : new ProofScope(plan, check.Bits, check.Cues, check.Standing, pieces);
        return models[key] = new ReducedModel(scope, examples);
    }

    /// <summary>An explorer for a check, ready to start.</summary>
    internal Explorer ExplorerFor(PromiseCheck check, Watch watch) => ExplorerFor(check, watch, ModelFor(check));

    /// <summary>An explorer for a check on one of its models, ready to start.</summary>
    internal Explorer ExplorerFor(
        PromiseCheck check,
        Watch watch,
        ReducedModel model,
        HashSet<BreakingMove>? discarded = null
    ) => new(model, watch, (input, cell) => InputRoles.Of(plan, check, input, cell), limits, discarded ?? []);

    /// <summary>True when the positions and the memory alone are too many to begin with.</summary>
    internal static bool TooLarge(ReducedModel model) => model.Grid.Positions / 64 * model.Memories > MostWords;

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
        if (!declared)
            return cells;
        foreach (var item in PowerOnCheck.Of(plan).Where(i => i.Warns))
        {
            var index = model.Scope.Inputs.ToList().FindIndex(i => i.Kind == InputKind.Control && i.Id == item.Control);
            if (index >= 0)
                cells.Add((index, model.Scope.Inputs[index].CellOf(item.Setting)));
        }

        return cells;
    }

    private PromiseVerdict Explore(
        PromiseCheck check,
        IProgress<ProofProgress>? progress,
        CancellationToken cancellation
    )
    {
        var model = ModelFor(check);
        if (model.Scope.Obstacle.Length > 0)
            return new PromiseVerdict(VerdictKind.NotProven, model.Scope.Obstacle);
        if (TooLarge(model))
            return new PromiseVerdict(
                VerdictKind.NotProven,
                $"Too many combinations to begin with: {Figures.Plain(model.Grid.Positions * model.Memories, 0)} of positions and memory alone."
            );
        var watch = check.Watch();
        var explorer = ExplorerFor(check, watch);
        try
        {
            var found = explorer.Explore(Starts(model, check.DeclaredStart), progress, cancellation);
            var verdict =
                found.Ending == ExplorationEnding.Broken
                    ? Verdict(check, new Trials(this, check, cancellation).Of(explorer, model, found))
                    : Verdict(check, watch, explorer, found);
            return verdict with
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
            return new PromiseVerdict(VerdictKind.NotProven, "The proof was cancelled.");
        }
    }

    private static PromiseVerdict Verdict(PromiseCheck check, Watch watch, Explorer explorer, Exploration found)
    {
        if (found.Ending == ExplorationEnding.OverLimit)
            return new PromiseVerdict(
                VerdictKind.NotProven,
                $"Explored {Figures.Plain(found.States, 0)} of about {Figures.Plain(explorer.Estimate, 0)} states, then the memory allowed was used up."
            );
        return NothingFound(check is { Goal: not null, Unwanted: false }, check.Unwanted || watch.PremiseReached);
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
        var wanted = check is { Goal: not null, Unwanted: false };
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
            "Delays, presses and timers may end in any order.",
            "A transmitter takes longer to start than the board waits for frames.",
            plan.Wire.FramesForAll == 1
                ? "All channels arrive together, frame by frame."
                : $"All channels arrive together; {plan.Wire.Name} sends them in {plan.Wire.FramesForAll} frames.",
            left.Length == 0
                ? "Every control makes a difference to it."
                : $"Makes no difference to it: {string.Join(", ", left)}.",
        ];
    }
}
