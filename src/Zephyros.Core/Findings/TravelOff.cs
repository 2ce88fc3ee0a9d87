using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The sticks do not give the board the travel from 1000 to 2000 µs, or do not rest at its centre.</summary>
public sealed class TravelOff : IFindingRule
{
    // A wide scale sends 988 to 2012 µs: twelve too many at each end are held by every board and cost nothing.
    [Figure(Station.Board, "Travel that a board cuts off matters from", ProvenanceKind.OwnAssumption, Unit = "µs")]
    private const double ClippedWithin = 40;

    [Figure(Station.Board, "Travel that is missing at an end matters from", ProvenanceKind.OwnAssumption, Unit = "µs")]
    private const double ShortWithin = 20;

    [Figure(
        Station.Board,
        "A stick that rests beside the centre matters from",
        ProvenanceKind.OwnAssumption,
        Unit = "µs",
        Note = "less than a hand keeps steady"
    )]
    private const double DriftWithin = 5;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var sweeps = new Dictionary<StickAxis, Sweep>();
        foreach (var axis in StickAxes.All)
            if (SimulatedMeasurement.Swept(plan, axis) is { } sweep)
                sweeps[axis] = sweep;
        // A stick that does not arrive, or hardly moves, is another finding's.
        if (EndpointSolver.Problems(sweeps).Count > 0)
            yield break;
        var answer = EndpointSolver.Solve(plan.Setup, sweeps);
        var off = answer.Channels.Where(c => IsOff(c.Before, Trimmed(plan, c.Axis))).ToArray();
        if (off.Length == 0)
            yield break;
        // What a span cannot put right is not offered as one.
        CorrectionPlace[] places =
            answer.OffCentre.Count > 0 ? [CorrectionPlace.Transmitter]
            : answer.Advised == CorrectionPlace.Transmitter ? [CorrectionPlace.Transmitter, CorrectionPlace.Board]
            : [CorrectionPlace.Board, CorrectionPlace.Transmitter];
        yield return new Finding
        {
            Key = "travel-off",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/spans",
            Title = "The sticks do not use the board's travel",
            What = string.Join(
                " ",
                off.Select(c => $"{c.Axis.Word()} arrives from {c.Raw.Low} over {c.Raw.Centre} to {c.Raw.High}.")
            ),
            Why = string.Join(" ", off.Select(Consequence)),
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                .. places.Select(place => new Fix(
                    place == CorrectionPlace.Board ? "spans" : "ends",
                    place == CorrectionPlace.Board
                        ? "The board scales what arrives to 1000 to 2000. Measure on the real board before you type it in."
                        : "The transmitter sends 1000 to 2000. The board is told no spans: never both by guesswork.",
                    EndpointEdits.At(plan.Setup, answer, place)
                )),
            ],
        };
    }

    private static bool IsOff(TravelEffect effect, bool trimmed) =>
        effect.Short.Value > ShortWithin
        || effect.Clipped.Value > ClippedWithin
        || (!trimmed && Math.Abs(effect.Drift.Value) > DriftWithin);

    // A drift that comes of a trim is the trim's finding.
    private static bool Trimmed(SignalPlan plan, StickAxis axis) =>
        plan.ChannelAt(plan.Setup.Board.Map.ChannelOf(axis))?.SourceControl is { } control
        && plan.Setup.Model.Trims.TryGetValue(control, out var trim)
        && trim.Value != 0;

    private static string Consequence(ChannelTravel channel)
    {
        var effect = channel.Before;
        var word = channel.Axis.Word();
        if (channel.Axis == StickAxis.Throttle)
            return $"The throttle commands {Share(effect.LowShare)} to {Share(effect.HighShare)}.";
        if (Math.Abs(effect.Drift.Value) > DriftWithin)
            return $"With the {word} stick let go the craft turns at {new DegreesPerSecond(Math.Abs(effect.Drift.Value))}.";
        return effect.Short.Value > ShortWithin
            ? $"{word} reaches {Share(effect.LowShare)} and {Share(effect.HighShare)} of its rate."
            : $"{effect.Clipped} of {word} travel do nothing.";
    }

    private static string Share(Percent share) => $"{Figures.Plain(share.Value, 0)} %";
}
