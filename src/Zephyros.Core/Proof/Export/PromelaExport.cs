using Zephyros.Core.Path;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Search;

namespace Zephyros.Core.Proof.Export;

/// <summary>Writes the reduced system that a check explores as Promela, with the promise as an assertion after every move, for a
/// general-purpose model checker.</summary>
/// <remarks>The tables are those of the step function that the proof itself uses; each move is one d_step. What the checker checks is the
/// search: verdict, shortest length and, for a promise that is kept, the number of states.</remarks>
public static class PromelaExport
{
    // More rows than this would be a text that nobody can compile.
    private const int MostEntries = 4_000_000;

    /// <summary>Writes what one check of a promise explores.</summary>
    /// <param name="plan">The valid setup, compiled.</param>
    /// <param name="promise">The promise.</param>
    /// <param name="check">Which of its checks, counted from 0.</param>
    /// <param name="cancellation">Ends it.</param>
    /// <returns>The model, or null when there is no such check or it is too large to be written.</returns>
    public static string? Write(SignalPlan plan, Promise promise, int check, CancellationToken cancellation = default)
    {
        if (promise.Checks(plan).ElementAtOrDefault(check) is not { } chosen)
            return null;
        var prover = new Prover(plan, new ProofLimits());
        var model = prover.ModelFor(chosen);
        if (model.Scope.Obstacle.Length > 0 || model.Grid.Positions * model.Memory.Bound > MostEntries)
            return null;
        var explorer = prover.ExplorerFor(chosen, chosen.Watch());
        explorer.LooksPast = true;
        var starts = prover.Starts(model, chosen.DeclaredStart);
        var found = explorer.Explore(starts, null, cancellation);
        return found.Ending == ExplorationEnding.OverLimit
            ? null
            : new PromelaWriter(
                promise,
                chosen,
                model,
                explorer,
                prover.WantedCells(model, chosen.DeclaredStart)
            ).Text();
    }
}
