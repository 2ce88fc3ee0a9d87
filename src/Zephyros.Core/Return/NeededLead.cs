using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Return;

/// <summary>What must be left in the battery when it calls: enough to come home against the wind, to descend, and a reserve.</summary>
/// <param name="Time">How long that takes: distance / (speed − wind) + height / descent + reserve.</param>
/// <param name="Charge">The charge that goes out meanwhile.</param>
/// <param name="Share">Its share of a full battery; above 100 % no battery is enough.</param>
/// <param name="Voltage">The pack at that charge, under the current of the way home; below this it is too late.</param>
public sealed record NeededLead(TimeSpan Time, MilliampHours Charge, Percent Share, Volts Voltage)
{
    private const double FinestShare = 1e-6;

    /// <summary>Works it out for a craft.</summary>
    /// <returns>Null while battery or way home are not written down, and where the wind is not slower than the craft: it never comes home.</returns>
    public static NeededLead? Of(CraftDescription craft)
    {
        if (BatteryModel.Of(craft) is not { } model || craft.WayHome is not { } way || way.Wind >= way.Speed)
            return null;
        var time =
            TimeSpan.FromSeconds(
                (way.Distance.Value / (way.Speed - way.Wind).Value) + (way.Height.Value / way.Descent.Value)
            ) + way.Reserve.ToTimeSpan();
        var charge = BatteryModel.Taken(way.Current, time);
        var share = charge.Value / model.Battery.Capacity.Value;
        return new NeededLead(
            time,
            charge,
            new Percent(100 * share),
            model.Voltage(model.Battery.Capacity - charge, way.Current)
        );
    }

    /// <summary>The share of the charge that is left when the pack falls to a voltage under a current.</summary>
    /// <returns>0 where it stays above it until it is empty, 1 where a full battery is below it.</returns>
    public static double LeftAt(BatteryModel model, Volts voltage, Amperes current)
    {
        var (empty, full) = (0.0, 1.0);
        if (At(empty) >= voltage)
            return empty;
        if (At(full) < voltage)
            return full;
        // The voltage rises with what is left, so halving finds the place.
        while (full - empty > FinestShare)
        {
            var middle = (empty + full) / 2;
            if (At(middle) < voltage)
                empty = middle;
            else
                full = middle;
        }

        return full;

        Volts At(double left) => model.Voltage(new MilliampHours(model.Battery.Capacity.Value * (1 - left)), current);
    }
}
