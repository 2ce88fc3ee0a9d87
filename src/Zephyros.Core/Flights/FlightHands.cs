using Zephyros.Core.Flights.Table;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>Where the controls stand while a flight runs through a model: the arm switch where it arms, the throttle as recorded, and all
/// others where they start.</summary>
internal sealed class FlightHands
{
    private readonly FlightRecording flight;
    private readonly FlightSeries? throttle;
    private readonly int stick;
    private double stands = double.NaN;

    /// <summary>Takes a flight for a setup.</summary>
    public FlightHands(SignalPlan plan, FlightRecording flight)
    {
        this.flight = flight;
        if (plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is not { } id || !IsLookedAt(plan.Setup.Model, id))
            return;
        throttle = flight.Of(ColumnMeaning.Throttle);
        stick = plan.Model.IndexOf(id);
    }

    /// <summary>Where the arm switch stands, by its id; empty when it is not known which arms.</summary>
    public static IReadOnlyDictionary<string, double> Of(Setup setup)
    {
        var settings = new Dictionary<string, double>(StringComparer.Ordinal);
        if (
            setup.Board.Arm is { Value: var arm }
            && setup.Transmitter.Controls[arm.Control].NamedPositions is [_, .., var last]
        )
            settings[arm.Control] = last.Setting;
        return settings;
    }

    /// <summary>How the throttle stick moves after one row and up to another; nothing where that was not recorded, or the model does not
    /// look at it.</summary>
    public IEnumerable<ReplayEvent> Between(int after, int upTo)
    {
        if (throttle is null)
            yield break;
        for (var row = after + 1; row <= upTo; row++)
        {
            var share = throttle.Values[row];
            if (double.IsNaN(share) || share == stands)
                continue;
            stands = share;
            var value = new Percent(Math.Clamp((2 * share) - 100, -100, 100));
            yield return ReplayEvent.Moved(flight.Times[row], stick, value);
        }
    }

    private static bool IsLookedAt(TransmitterModel model, string stick) =>
        ModelReferences
            .Of(model)
            .Any(r => r.Kind == ReferenceKind.Control && r.Id == stick && r.Owner.Kind != NodeKind.Control);
}
