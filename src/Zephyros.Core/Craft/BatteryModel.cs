using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>What a flight battery gives while charge goes out of it: the voltage at rest, less what its resistance takes.</summary>
/// <param name="Battery">The battery.</param>
/// <param name="Cells">Its cells in series.</param>
public sealed record BatteryModel(FlightBattery Battery, int Cells)
{
    [Figure(
        Station.Return,
        "Current rises with throttle to the power of",
        ProvenanceKind.OwnAssumption,
        Note = "from what flows at idle to what flows at full throttle"
    )]
    private const double Rise = 2;

    [Figure(
        Station.Return,
        "At idle there flows, of the current at full throttle",
        ProvenanceKind.OwnAssumption,
        Unit = "%"
    )]
    private const double IdleShare = 3;

    [Figure(Station.Return, "With the motors off there flows", ProvenanceKind.OwnAssumption)]
    private static readonly Amperes Standby = new(0.4);

    /// <summary>The model of a craft; null while its battery is not written down.</summary>
    public static BatteryModel? Of(CraftDescription craft) =>
        craft.Battery is { } battery ? new BatteryModel(battery, craft.Cells) : null;

    /// <summary>The voltage of the pack.</summary>
    /// <param name="used">The charge that was taken out.</param>
    /// <param name="current">What flows.</param>
    /// <returns>Never below 0.</returns>
    public Volts Voltage(MilliampHours used, Amperes current)
    {
        var cell = CellVoltages.Rest(Battery.Chemistry, Left(used)).Value;
        return new Volts(Cells * Math.Max(0, cell - (current.Value * Battery.CellResistance.Value / 1000)));
    }

    /// <summary>The share of the charge that is left, 0 to 1.</summary>
    public double Left(MilliampHours used) => Math.Clamp(1 - (used.Value / Battery.Capacity.Value), 0, 1);

    /// <summary>What flows.</summary>
    /// <param name="motors">What the motors do.</param>
    /// <param name="throttle">The throttle, 0 to 100 %.</param>
    public Amperes Current(MotorLevel motors, Percent throttle)
    {
        var idle = Battery.FullCurrent.Value * IdleShare / 100;
        return motors switch
        {
            MotorLevel.Off => Standby,
            MotorLevel.Idle or MotorLevel.IdleWithControl => new Amperes(idle) + Standby,
            MotorLevel.Thrust => new Amperes(
                idle + ((Battery.FullCurrent.Value - idle) * Math.Pow(throttle.Value / 100, Rise))
            ) + Standby,
        };
    }

    /// <summary>The charge that a current takes out in a time.</summary>
    public static MilliampHours Taken(Amperes current, TimeSpan time) => new(current.Value * 1000 * time.TotalHours);
}
