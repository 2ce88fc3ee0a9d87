using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;

namespace Zephyros.Core.Flights;

/// <summary>What a model asks of a sensor: two readings between which no limit lies make no difference to it.</summary>
internal sealed class SensorLimits
{
    private readonly double[] limits;
    private readonly bool taken;

    private SensorLimits(double[] limits, bool taken) => (this.limits, this.taken) = (limits, taken);

    /// <summary>Those of each sensor of a model, by its id.</summary>
    public static IReadOnlyDictionary<string, SensorLimits> Of(TransmitterModel model)
    {
        var further = ModelReferences
            .Of(model)
            .Where(r => r.Kind == ReferenceKind.Sensor && IsTaken(r))
            .Select(r => r.Id)
            .ToHashSet(StringComparer.Ordinal);
        var asked = model
            .Conditions.Values.SelectMany(c => TestTrees.SensorTests(c.Test))
            .ToLookup(t => t.Sensor, t => t.Limit.Value, StringComparer.Ordinal);
        return model.Sensors.Keys.ToDictionary(
            id => id,
            id => new SensorLimits([.. asked[id].Distinct().Order()], further.Contains(id)),
            StringComparer.Ordinal
        );
    }

    /// <summary>True when the model does not look at the sensor at all.</summary>
    public bool Ignored => !taken && limits.Length == 0;

    /// <summary>True when a model may make a difference between two readings.</summary>
    public bool Part(double one, double other) => taken ? one != other : Cell(one) != Cell(other);

    // Which limits lie below, and whether one is met.
    private int Cell(double reading)
    {
        var cell = 0;
        foreach (var limit in limits)
            cell +=
                reading > limit ? 2
                : reading == limit ? 1
                : 0;
        return cell;
    }

    // Its value goes on into a chain or a comparison, and not only into a test of its own.
    private static bool IsTaken(ModelReference reference) =>
        reference.Owner.Kind == NodeKind.Chain
        || (
            reference.Owner.Kind == NodeKind.Condition
            && reference.Place.EndsWith("/value/sensor", StringComparison.Ordinal)
        );
}
