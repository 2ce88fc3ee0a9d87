using Zephyros.Core.Proof.Cells;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Search;

/// <summary>Finds the move that led into a state, looking back one level. Ties go to the first in the order of declaration.</summary>
internal sealed class PathFinder(
    ReducedModel model,
    SituationSystem system,
    InputGrid grid,
    IReadOnlyList<MoveGroup> groups
)
{
    /// <summary>The move into a state from a set of the level before, and the state that it came from.</summary>
    public (ProofMove Move, ProofState Before) Into(List<StateSet> level, ProofState state)
    {
        foreach (var set in level)
        {
            foreach (var (roles, stir, moves) in groups)
            {
                if (!Gives(set, new Happening(MoveKind.Input, Roles: roles), state, new(0, stir)))
                    continue;
                if (Moved(set, moves, state) is { } found)
                    return found;
            }

            foreach (var happening in system.Happenings(set.Situation))
                if (
                    system.MayHappen(set.Situation, happening, set.Memory)
                    && IsBefore(set, happening, state, out var earlier)
                    && Gives(set, happening, state, system.CauseOf(happening))
                )
                    return (new ProofMove(happening.Kind, [], happening.Value), earlier);
            if (!set.Contains(state.Word, state.Bit))
                continue;
            var before = new ProofState(state.Word, state.Bit, set.Memory, set.Situation);
            foreach (var (kind, ending) in ByItself(set))
                if (Gives(set, new Happening(kind), state, new(ending, model.Open.ByParts(ending))))
                    return (new ProofMove(kind, [], model.Memory.EndingNumber(ending)), before);
        }

        throw new InvalidOperationException("A state that was reached must have a state before it.");
    }

    private IEnumerable<(MoveKind Kind, ulong Ending)> ByItself(StateSet set) =>
        model
            .Memory.Endings(set.Memory)
            .Where(e => system.MayEnd(set.Situation, e, set.Memory))
            .Select(e => (MoveKind.ModelTime, e))
            .Concat(model.Memory.Slow.Select(s => (MoveKind.SlowStep, s)));

    /// <summary>The movement of a group that led from a set into a state.</summary>
    public (ProofMove Move, ProofState Before) MovementInto(StateSet set, MoveGroup group, ProofState state) =>
        Moved(set, group.Moves, state)
        ?? throw new InvalidOperationException("A movement that was made must have begun somewhere.");

    /// <summary>The state of a set from which something that happened led into a state.</summary>
    public ProofState Before(StateSet set, Happening happening, ProofState state) =>
        IsBefore(set, happening, state, out var before)
            ? before
            : throw new InvalidOperationException("What happened must have begun somewhere.");

    // Telemetry may go or come with what happens.
    private bool IsBefore(StateSet set, Happening happening, ProofState state, out ProofState before)
    {
        before = new ProofState(state.Word, state.Bit, set.Memory, set.Situation);
        if (system.Telemetry.After(happening) is not { } cell)
            return set.Contains(state.Word, state.Bit);
        var input = model.Scope.TelemetryInput;
        if (grid.Cell(input, state.Word, state.Bit) != cell)
            return false;
        for (var other = 0; other < grid.CellsOf(input); other++)
        {
            var (word, bit) = grid.With(input, other, state.Word, state.Bit);
            before = before with { Word = word, Bit = bit };
            if (set.Contains(word, bit))
                return true;
        }

        return false;
    }

    private (ProofMove Move, ProofState Before)? Moved(StateSet set, (int Input, int Cell)[][] moves, ProofState state)
    {
        foreach (var move in moves)
        {
            if (
                move.Any(m => grid.Cell(m.Input, state.Word, state.Bit) != m.Cell)
                || !system.Telemetry.Allows(system.Situations[set.Situation], move)
            )
                continue;
            foreach (var (word, bit) in Origins(move, state.Word, state.Bit))
                if (set.Contains(word, bit))
                    return (
                        new ProofMove(MoveKind.Input, move, 0),
                        new ProofState(word, bit, set.Memory, set.Situation)
                    );
        }

        return null;
    }

    private IEnumerable<(int Word, int Bit)> Origins((int Input, int Cell)[] move, int word, int bit)
    {
        var (input, cell) = move[0];
        for (var other = 0; other < grid.CellsOf(input); other++)
        {
            if (!grid.Moves(input, other, cell))
                continue;
            var place = grid.With(input, other, word, bit);
            if (move.Length == 1)
                yield return place;
            else
                foreach (var second in Origins(move[1..], place.Word, place.Bit))
                    yield return second;
        }
    }

    // True when something that happens in a set's situation gives the memory and the situation of a state at its position.
    private bool Gives(StateSet set, Happening happening, ProofState state, RowCause cause)
    {
        var on = system.Situations[set.Situation].Radio != RadioState.Off;
        if (!on && happening.Kind != MoveKind.TransmitterOn)
            return state.Memory == 0 && After(0) == state.Situation;
        var memory = happening.Kind == MoveKind.TransmitterOn ? 0 : set.Memory;
        foreach (var row in model.Row(model.Rows(memory, cause), state.Word))
        {
            var after = happening.Kind == MoveKind.TransmitterOff ? 0 : row.Outcome.Memory;
            if (
                (row.Positions >> state.Bit & 1) != 0
                && after == state.Memory
                && After(row.Outcome.Reading) == state.Situation
            )
                return true;
        }

        return false;

        int After(int reading) =>
            system.Ordered(system.Next(system.Steps(set.Situation, happening), reading), set.Memory, state.Memory);
    }
}
