using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Findings;

/// <summary>The model uses a reading that cannot come.</summary>
public sealed class SensorStaysAway : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("sensor-stays-away", "{0} readings that are used do not come", "Put all {0} right");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var (setup, model) = (plan.Setup, plan.Setup.Model);
        var users = ModelReferences
            .Of(model)
            .Where(r => r.Kind == ReferenceKind.Sensor)
            .ToLookup(r => r.Id, StringComparer.Ordinal);
        foreach (var (id, way) in ReturnPlan.Of(setup).Sensors.OrderBy(s => s.Key, StringComparer.Ordinal))
        {
            if (way.Obstacle is not { } obstacle || !users.Contains(id))
                continue;
            var sensor = model.Sensors[id];
            var by = users[id].Select(r => ModelWords.Owner(model, r.Owner)).Distinct(StringComparer.Ordinal);
            yield return new Finding
            {
                Key = $"sensor-stays-away:{id}",
                Severity = Severity.Danger,
                Station = Station.Return,
                Place = obstacle.Place,
                Title = $"{sensor.Label} is used, and does not come",
                What = obstacle.Words,
                Why =
                    $"Used by {string.Join(", ", by)}. A sensor that is not there reads nothing, and an alarm on it never speaks.",
                Provenance = Provenance.Practice("look what a search for sensors finds"),
                MayBeJustified = true,
                Fixes = [.. Fixes(setup, obstacle, sensor.Measures)],
            };
        }
    }

    private static IEnumerable<Fix> Fixes(Setup setup, ReturnObstacle obstacle, SensorSubject subject)
    {
        if (obstacle.Place == "/air/telemetry")
            yield return new Fix(
                "telemetry",
                "The link brings telemetry: switch it on at both ends, and bind again where that is asked.",
                SetupEdit.Between("Telemetry on", setup, setup with { Air = setup.Air with { Telemetry = true } })
            );
        if (
            obstacle.Place.StartsWith("/board/equipment/", StringComparison.Ordinal)
            && ReturnPlan.Needs(setup.Board.Equipment, subject) is { } piece
        )
            yield return new Fix(
                "equipped",
                $"The board has a {piece.Words} after all: it was only not written down.",
                SetupEdit.Between(
                    $"The board has a {piece.Words}",
                    setup,
                    setup with
                    {
                        Board = setup.Board with { Equipment = ReturnPlan.With(setup.Board.Equipment, subject) },
                    }
                )
            );
        var wire = setup.Wire.Format.Describe();
        if (obstacle.Place == "/board/reports")
        {
            var way =
                wire.TwoWay && setup.Board.Reports != ReportWay.ReceiverWire
                    ? ReportWay.ReceiverWire
                    : ReportWay.OwnWire;
            yield return new Fix(
                "reports",
                way == ReportWay.OwnWire
                    ? "The board reports over a wire of its own, from a free port to the receiver: solder it, and set telemetry on that port."
                    : "The board reports over the receiver's wire: set telemetry on at the board.",
                SetupEdit.Between(
                    way == ReportWay.OwnWire
                        ? "The board reports over a wire of its own"
                        : "The board reports over the receiver's wire",
                    setup,
                    setup with
                    {
                        Board = setup.Board with { Reports = way },
                    }
                )
            );
        }
    }
}
