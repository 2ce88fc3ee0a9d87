using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Tests.Proof;

/// <summary>Whether an explored system allows what a bench did between two looks: at most one move, and then time that passes, in
/// which packets of telemetry come and are missed.</summary>
internal sealed class AllowedSteps(ReducedModel model, SituationSystem system)
{
    // So many delays and timers may end between two looks.
    private const int MostTimers = 4;

    public bool Allows(ProofState before, ProofState after)
    {
        // The board's time may be up between the look and the move.
        var timers = system
            .Happenings(before.Situation)
            .Where(h => h.Kind == MoveKind.BoardTime && system.MayHappen(before.Situation, h, before.Memory))
            .SelectMany(h => Next(before, h, system.CauseOf(h)))
            .ToArray();
        return timers.Prepend(before).Any(first => AllowsFrom(first, after));
    }

    private bool AllowsFrom(ProofState before, ProofState after)
    {
        var reached = new HashSet<ProofState> { before };
        foreach (var happening in system.Happenings(before.Situation).ToArray())
            if (Places(before, happening) is var placed && Heard(placed, 0) == Heard((after.Word, after.Bit), 0))
                reached.UnionWith(
                    Next(before with { Word = placed.Word, Bit = placed.Bit }, happening, system.CauseOf(happening))
                );
        var moved = Heard((after.Word, after.Bit), TelemetryOf(before));
        foreach (var input in Movements(before, before with { Word = moved.Word, Bit = moved.Bit }))
            reached.UnionWith(
                Next(
                    before with
                    {
                        Word = moved.Word,
                        Bit = moved.Bit,
                    },
                    new Happening(MoveKind.Input),
                    new(0, model.Open.ByInputs([input]))
                )
            );
        for (var i = 0; i < MostTimers && !reached.Contains(after); i++)
            foreach (var state in reached.ToArray())
            {
                reached.UnionWith(Telemetry(state));
                foreach (
                    var ending in model
                        .Memory.Endings(state.Memory)
                        .Where(e => system.MayEnd(state.Situation, e, state.Memory))
                        .ToArray()
                )
                    reached.UnionWith(
                        Next(state, new Happening(MoveKind.ModelTime), new(ending, model.Open.ByParts(ending)))
                    );
                foreach (var slow in model.Memory.Slow)
                    reached.UnionWith(
                        Next(state, new Happening(MoveKind.SlowStep), new(slow, model.Open.ByParts(slow)))
                    );
                foreach (
                    var timer in system
                        .Happenings(state.Situation)
                        .Where(h => h.Kind is MoveKind.BoardTime or MoveKind.Tremble)
                        .Where(h => system.MayHappen(state.Situation, h, state.Memory))
                        .ToArray()
                )
                    reached.UnionWith(Next(state, timer, system.CauseOf(timer)));
            }

        return reached.Contains(after);
    }

    private int TelemetryOf(ProofState state) =>
        model.Scope.TelemetryInput is >= 0 and var input ? model.Grid.Cell(input, state.Word, state.Bit) : 0;

    // The same place with telemetry in a cell.
    private (int Word, int Bit) Heard((int Word, int Bit) place, int cell) =>
        model.Scope.TelemetryInput is >= 0 and var input ? model.Grid.With(input, cell, place.Word, place.Bit) : place;

    // Telemetry comes, or is missed.
    private IEnumerable<ProofState> Telemetry(ProofState state)
    {
        if (model.Scope.TelemetryInput is not (>= 0 and var input))
            return [];
        var cell = 1 - TelemetryOf(state);
        if (!system.Telemetry.Allows(system.Situations[state.Situation], [(input, cell)]))
            return [];
        var (word, bit) = Heard((state.Word, state.Bit), cell);
        return Next(
            state with
            {
                Word = word,
                Bit = bit,
            },
            new Happening(MoveKind.Input),
            new(0, model.Open.ByInputs([input]))
        );
    }

    private (int Word, int Bit) Places(ProofState before, Happening happening) =>
        system.Telemetry.After(happening) is { } cell
            ? model.Grid.With(model.Scope.TelemetryInput, cell, before.Word, before.Bit)
            : (before.Word, before.Bit);

    // One input goes to another cell, or any moves within one in which something is left open.
    private int[] Movements(ProofState before, ProofState after)
    {
        var inputs = Enumerable.Range(0, model.Grid.Count).ToArray();
        int From(int input) => model.Grid.Cell(input, before.Word, before.Bit);
        int To(int input) => model.Grid.Cell(input, after.Word, after.Bit);
        int[] others = [.. inputs.Where(i => From(i) != To(i))];
        return others.Length switch
        {
            0 => [.. inputs.Where(i => model.Grid.Moves(i, To(i), To(i)))],
            1 => others,
            _ => [],
        };
    }

    private IEnumerable<ProofState> Next(ProofState here, Happening happening, RowCause cause)
    {
        var on = system.Situations[here.Situation].Radio != RadioState.Off;
        var table = system.Steps(here.Situation, happening);
        if (!on && happening.Kind != MoveKind.TransmitterOn)
            return cause.Ending != 0 ? [] : [After(0, 0)];
        var memory = happening.Kind == MoveKind.TransmitterOn ? 0 : here.Memory;
        return
        [
            .. from row in model.Row(model.Rows(memory, cause), here.Word)
            where (row.Positions >> here.Bit & 1) != 0
            select After(happening.Kind == MoveKind.TransmitterOff ? 0 : row.Outcome.Memory, row.Outcome.Reading),
        ];

        ProofState After(int next, int reading) =>
            here with
            {
                Memory = next,
                Situation = system.Ordered(system.Next(table, reading), here.Memory, next),
            };
    }
}
