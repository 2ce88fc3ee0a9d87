using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Captures;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>Puts what the model plans beside a recording of the real wire and what was read off the real board, and finds for every
/// channel the first place where it is not as planned.</summary>
public sealed class PlanComparison
{
    [Figure(
        Station.Board,
        "Real ends and positions come back, beside the steps of the wire, to within",
        ProvenanceKind.OwnAssumption,
        Unit = "µs"
    )]
    private const double Alike = 3;

    private readonly SignalPlan plan;
    private readonly BoardReadings? wire;
    private readonly BoardReadings board;
    private readonly MeasuredPlaces places;

    private PlanComparison(SignalPlan plan, BoardReadings? wire, BoardReadings board)
    {
        (this.plan, this.wire, this.board) = (plan, wire, board);
        places = new MeasuredPlaces(plan, wire, board);
    }

    /// <summary>Compares all channels that the model feeds.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="recording">A recording of the wire, made in the order of the guided routines; null when none was made.</param>
    /// <param name="readings">What was read off the board.</param>
    public static MeasuredComparison Of(SignalPlan plan, CaptureVerdict? recording, BoardReadings readings)
    {
        // What the wire carries is not scaled yet.
        var plain = plan.Setup.Board with
        {
            Spans = ImmutableDictionary<StickAxis, ChannelSpan>.Empty,
        };
        var recorded = recording is null
            ? null
            : RecordedMeasurement.Of(SignalPlan.Compile(plan.Setup with { Board = plain }), recording);
        var comparison = new PlanComparison(plan, recorded?.Readings, readings);
        return new(
            recorded?.Problem ?? "",
            [.. plan.Model.Channels.OrderBy(c => c.Channel.Number.Value).Select(comparison.Of)]
        );
    }

    private MeasuredChannel Of(PlannedChannel channel)
    {
        var number = channel.Channel.Number;
        var label = channel.Channel.Label;
        var planned = LinkEffect.Of(plan, number);
        var here = places.On(number);
        if (here.Count == 0 || number.Value > SignalPlan.CarriedChannels(plan.Setup))
            return new(
                number,
                label,
                [],
                null,
                planned.Length > 0 ? planned : "No stick or switch moves it alone, so it is not compared."
            );
        var judged = here.Select(p => (Place: p, Parted: Parting(number, p))).ToArray();
        var first = Arrival(number) ?? judged.Select(j => j.Parted).OfType<Parted>().MinBy(p => p.Parts);
        return new(
            number,
            label,
            [
                .. judged.Select(j => new MeasuredPoint(
                    j.Place.Name,
                    j.Place.Sent,
                    j.Place.Wire,
                    j.Place.Board,
                    j.Parted?.Parts
                )),
            ],
            first?.Parts,
            first?.Why ?? planned
        );
    }

    // Which bar answers a stick, and which way, is decided before any value.
    private Parted? Arrival(ChannelNumber number)
    {
        if (
            ChannelOrder.StickOn(plan.Setup.Model, plan.Setup.Transmitter, number) is not { } stick
            || SimulatedMeasurement.Wiggled(plan, stick) is not { } expected
        )
            return null;
        if (Other(wire, expected) is { } carried)
            return new(
                Station.Air,
                carried.Bar != expected.Bar
                    ? $"Moving {stick.Word()}, {plan.Setup.Board.Map.ChannelOf(carried.Bar)} answers on the wire: the transmitter does not send the planned order."
                    : $"On the wire {stick.Word()} runs the other way than planned."
            );
        return Other(board, expected) is { } shown
            ? new(
                Station.Board,
                (
                    shown.Bar != expected.Bar
                        ? $"Moving {stick.Word()}, the board's {shown.Bar.Word()} answers, not its {expected.Bar.Word()}."
                        : $"At the board {stick.Word()} runs the other way than planned."
                ) + Undecided(wire?.Wiggles.Any(w => w.Moved == stick) == true)
            )
            : null;
    }

    // What was seen of a stick, when it is not what is expected.
    private static WiggleSeen? Other(BoardReadings? readings, WiggleSeen expected) =>
        readings?.Wiggles.FirstOrDefault(w =>
            w.Moved == expected.Moved && (w.Bar != expected.Bar || (w.Reversed is { } way && way != expected.Reversed))
        );

    private Parted? Parting(ChannelNumber number, MeasuredPlace place)
    {
        var by = Alike + plan.Wire.Step.Value + plan.Setup.Board.WanderOn(number).Value;
        if (place.Wire is { } carried && Differ(carried, place.Expected, by))
        {
            var scale = plan.Setup.Transmitter.Scale;
            return new(
                Station.Air,
                $"At {place.Name}, {carried} on the wire ({Share(scale, carried)}); planned are {place.Expected} ({Share(scale, place.Expected)})."
            );
        }

        var comes = place.Wire ?? place.Expected;
        var makes = number.Aux is null ? plan.Setup.Board.Scaled(plan.Setup.Board.Map.AxisOf(number), comes) : comes;
        if (place.Board is not { } shown || !Differ(shown, makes, by + place.Jitter.Value))
            return null;
        return new(
            Station.Board,
            place.Wire is null
                ? $"At {place.Name}, the board shows {shown}; planned are {makes}.{Undecided(recorded: false)}"
                : $"At {place.Name}, {comes} come and the board shows {shown}; planned are {makes}."
        );
    }

    private sealed record Parted(Station Parts, string Why);

    private static string Undecided(bool recorded) =>
        recorded ? "" : " A recording of the wire would tell whether that happens before the board.";

    private static string Share(PulseScale scale, Microseconds pulse) =>
        new Percent(Math.Round(scale.ToPercent(pulse).Value, 1)).ToString();

    private static bool Differ(Microseconds one, Microseconds other, double by) => one.ApartFrom(other).Value > by;
}
