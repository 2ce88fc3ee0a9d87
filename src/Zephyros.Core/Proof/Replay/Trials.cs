using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Plays what an exploration found on the bench. Where it does not come out so, looks again: with the cells that leave something
/// open cut finer, past the move that did not come out, and with one value of each cell.</summary>
/// <remarks>Looking past a move stands in for the order of the board's timers: another sequence, in which they end in time, may break the
/// promise too.</remarks>
internal sealed class Trials(Prover prover, PromiseCheck check)
{
    // So many moves that do not come out are looked past.
    private const int MostDiscards = 16;

    // A cell that leaves something open is cut into so many pieces, coarsely first.
    private static readonly int[] Pieces = [4, 16];

    /// <summary>What a sequence that was found is worth.</summary>
    /// <exception cref="OperationCanceledException">It was cancelled.</exception>
    public Trial Of(Explorer explorer, ReducedModel model, Exploration found)
    {
        var (first, confirmed) = prover.WriterFor(check, explorer, model, found).Play();
        if (confirmed)
            return new Trial(first, TrialEnding.Played, Shortest: true);
        return Finer(model)
            ?? PastWhatFailed(examples: false)
            ?? PastWhatFailed(examples: true)
            ?? new Trial(first, TrialEnding.NotPlayed);
    }

    // Finer cells leave less open; what is not found in them is not there.
    private Trial? Finer(ReducedModel coarse)
    {
        if (!coarse.Scope.Inputs.Any(i => i.Cells.Any(c => c.Open)))
            return null;
        foreach (var pieces in Pieces)
        {
            var model = prover.ModelFor(check, pieces: pieces);
            if (prover.TooLarge(model))
                return null;
            var watch = check.Watch();
            var explorer = prover.ExplorerFor(check, watch, model);
            var found = prover.Explore(check, model, explorer);
            if (found.Ending == ExplorationEnding.Exhausted)
                return new Trial([], TrialEnding.Excluded) { PremiseReached = watch.PremiseReached };
            if (found.Ending == ExplorationEnding.OverLimit)
                return null;
            var (path, confirmed) = prover.WriterFor(check, explorer, model, found).Play();
            if (confirmed)
                return new Trial(path, TrialEnding.Played, Shortest: true);
        }

        return null;
    }

    private Trial? PastWhatFailed(bool examples)
    {
        var model = prover.ModelFor(check, examples);
        IReadOnlyList<PathStep>? played = null;
        Explorer? explorer = null;
        explorer = prover.ExplorerFor(
            check,
            check.Watch(),
            model,
            found =>
            {
                var (path, confirmed) = prover.WriterFor(check, explorer!, model, found).Play();
                played = confirmed ? path : null;
                return confirmed || explorer!.Discarded + 1 >= MostDiscards;
            }
        );
        prover.Explore(check, model, explorer);
        return played is null ? null : new Trial(played, TrialEnding.Played);
    }
}
