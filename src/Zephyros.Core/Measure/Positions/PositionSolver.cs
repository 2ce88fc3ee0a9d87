using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Positions;

/// <summary>Compares what the positions of switches and buttons really give with what is planned, and works out what to change.</summary>
public static class PositionSolver
{
    // A board shows whole microseconds, so less than this is its rounding.
    [Figure(Station.Board, "A board shows values rounded to", ProvenanceKind.CommonPractice, Unit = "µs")]
    internal const double Rounding = 1;

    /// <summary>Why nothing can be worked out; empty when something can.</summary>
    public static IReadOnlyList<SetupProblem> Problems(Setup setup, IReadOnlyList<PositionSeen> seen)
    {
        var problems = new List<SetupProblem>();
        foreach (var (i, one) in seen.Index())
        {
            if (Position(setup, one) is null)
                problems.Add(
                    new(
                        $"/seen/{i}/setting",
                        $"The transmitter has no control \"{one.Control}\" with a position {one.Setting}."
                    )
                );
            else if (
                seen.Take(i).Any(o => (o.Control, o.Setting, o.Channel) == (one.Control, one.Setting, one.Channel))
            )
                problems.Add(new($"/seen/{i}", $"{Name(setup, one)} was measured twice on {one.Channel}."));
            else if (seen.Take(i).FirstOrDefault(o => Alike(o, one)) is { } other)
                problems.Add(
                    new(
                        $"/seen/{i}/value",
                        $"{Name(setup, one)} and {Name(setup, other)} both show {one.Value} on {one.Channel}: they cannot be told apart. Was the switch moved?"
                    )
                );
        }

        return problems;
    }

    /// <summary>What was measured beside the plan, and the edits that make the two agree.</summary>
    /// <param name="plan">The setup that was measured.</param>
    /// <param name="seen">What was seen, without <see cref="Problems"/>.</param>
    public static PositionAnswer Solve(SignalPlan plan, IReadOnlyList<PositionSeen> seen)
    {
        var positions = seen.Select(s => Beside(plan, s)).ToArray();
        return new PositionAnswer(positions, [.. Fixes(plan, positions)]);
    }

    private static MeasuredPosition Beside(SignalPlan plan, PositionSeen seen)
    {
        var board = plan.Setup.Board;
        var works = plan.ChannelsOf(seen.Control).Any(c => c.Channel.Number == seen.Channel);
        Microseconds? planned = works ? plan.With(seen.Control, seen.Setting).Received[seen.Channel.Value - 1] : null;
        var watching = board
            .Functions.Where(f => f.Value.Channel == seen.Channel)
            .OrderBy(f => f.Key, StringComparer.Ordinal);
        // Its own trembling counts here, not what was written down before.
        var own = board with
        {
            Wander = ImmutableDictionary<ChannelNumber, Microseconds>.Empty,
        };
        var room = BandRoom.Of(own, seen.Channel, seen.Value);
        return new MeasuredPosition(
            seen,
            Name(plan.Setup, seen),
            planned,
            planned is { } value ? seen.Value - value : default,
            [.. watching.Where(f => IsWanted(f.Value, seen, planned)).Select(f => f.Key)],
            [.. watching.Where(f => f.Value.Contains(seen.Value)).Select(f => f.Key)],
            room is null ? null : room with { Room = room.Room - seen.Jitter }
        );
    }

    // What is planned counts; where nothing is, what the planned value would switch on.
    private static bool IsWanted(BoardFunction function, PositionSeen seen, Microseconds? planned) =>
        function.Control == seen.Control && !function.Planned.IsEmpty
            ? function.Planned.Contains(seen.Setting)
            : planned is { } value && function.Contains(value);

    private static IEnumerable<PositionFix> Fixes(SignalPlan plan, MeasuredPosition[] positions)
    {
        var setup = plan.Setup;
        if (WithWander(setup, positions) is { } wandering && wandering != setup.Board)
            yield return new(
                "Write down how far each channel wanders and lies off. Findings and proof then leave that much room at every band.",
                SetupEdit.Between("Keep the measured wander", setup, setup with { Board = wandering })
            );
        if (Fitted(setup, positions) is { } fitted)
            yield return new(
                "Fit the bands to what was measured: the planned positions inside, the others out, the edges midway.",
                SetupEdit.Between("Fit bands to the measurement", setup, setup with { Board = fitted })
            );
        foreach (var (id, planned) in plan.Setup.Model.Channels.OrderBy(c => c.Value.Number.Value))
            if (EndsAt(setup, planned, [.. positions.Where(p => p.Seen.Channel == planned.Number)]) is { } output)
                yield return new(
                    $"If {planned.Number} of the transmitter really has other ends than written down, write down those that were measured.",
                    ModelEdits.SetOutput(setup, $"{planned.Label}: ends {output.Low} and {output.High}", id, output)
                );
    }

    private static FlightBoard? WithWander(Setup setup, MeasuredPosition[] positions)
    {
        var wander = setup.Board.Wander;
        foreach (var channel in positions.Where(p => p.Planned is not null).GroupBy(p => p.Seen.Channel))
        {
            var most = channel.Max(p => Math.Abs(p.Off.Value) + p.Seen.Jitter.Value);
            if (most > 100)
                return null;
            wander =
                most <= Rounding
                    ? wander.Remove(channel.Key)
                    : wander.SetItem(channel.Key, new Microseconds(Math.Ceiling(most)));
        }

        return SetupJson.Same(setup.Board.Wander, wander) ? setup.Board : setup.Board with { Wander = wander };
    }

    // Every band whose control was measured in all its positions, and that they do not work as planned, or only just.
    private static FlightBoard? Fitted(Setup setup, MeasuredPosition[] positions)
    {
        var board = setup.Board;
        foreach (var (id, function) in setup.Board.Functions)
        {
            MeasuredPosition[] own =
            [
                .. positions.Where(p => p.Seen.Control == function.Control && p.Seen.Channel == function.Channel),
            ];
            if (own.Length == 0 || own.Length < setup.Transmitter.Controls[function.Control].NamedPositions.Count)
                continue;
            if (own.All(p => Wants(p, id) == p.Has.Contains(id, StringComparer.Ordinal) && !IsNear(p, id)))
                continue;
            var values = own.ToLookup(p => Wants(p, id), p => p.Seen.Value);
            if (values[true].Any() && BandFit.Around([.. values[true]], [.. values[false]]) is var (low, high))
                board = board with
                {
                    Functions = board.Functions.SetItem(id, function with { Low = low, High = high }),
                };
        }

        return board == setup.Board ? null : board;
    }

    private static bool IsNear(MeasuredPosition position, string function) =>
        position.Room is { TooNear: true } near && near.Function == function;

    private static bool Wants(MeasuredPosition position, string function) =>
        position.Wants.Contains(function, StringComparer.Ordinal);

    // The ends with which the plan says what was measured at the two ends of the only control on a channel.
    private static OutputStage? EndsAt(Setup setup, Channel channel, MeasuredPosition[] positions)
    {
        if (
            positions.Length < 2
            || channel.Take is not ControlSource { Control: var control }
            || channel.Steps.Count > 0
            || channel.Output.Low >= channel.Output.High
        )
            return null;
        var own = positions.Where(p => p.Seen.Control == control && p.Planned is not null).ToArray();
        if (own.Length < 2 || own.All(p => Math.Abs(p.Off.Value) <= Rounding + p.Seen.Jitter.Value))
            return null;
        var (low, high) = (own.MinBy(p => p.Planned!.Value.Value)!, own.MaxBy(p => p.Planned!.Value.Value)!);
        if (low.Seen.Value >= high.Seen.Value || low.Planned == high.Planned)
            return null;
        var scale = setup.Transmitter.Scale;
        var step = setup.Transmitter.TravelStep.Value;
        Percent At(MeasuredPosition p) =>
            new(
                Math.Round(
                    Math.Round(scale.ToPercent(p.Seen.Value).Value / step, MidpointRounding.AwayFromZero) * step,
                    6
                )
            );
        var middle = own.FirstOrDefault(p => setup.Transmitter.Controls[control].Read(p.Seen.Setting)?.Value == 0);
        var output = channel.Output with
        {
            Low = At(low),
            Centre = middle is null ? channel.Output.Centre : At(middle),
            High = At(high),
        };
        var limit = setup.Transmitter.TravelLimit.Value;
        return output == channel.Output || Math.Abs(output.Low.Value) > limit || Math.Abs(output.High.Value) > limit
            ? null
            : output;
    }

    private static bool Alike(PositionSeen one, PositionSeen other) =>
        (one.Control, one.Channel) == (other.Control, other.Channel)
        && one.Value.ApartFrom(other.Value) <= one.Jitter.AtLeast(other.Jitter);

    private static ControlPosition? Position(Setup setup, PositionSeen seen) =>
        setup.Transmitter.Controls.TryGetValue(seen.Control, out var control)
            ? control
                .NamedPositions.Where(p => p.Setting == seen.Setting)
                .Select(p => (ControlPosition?)p)
                .FirstOrDefault()
            : null;

    private static string Name(Setup setup, PositionSeen seen) =>
        $"{setup.Transmitter.Controls[seen.Control].Name} {Position(setup, seen)!.Name}";
}
