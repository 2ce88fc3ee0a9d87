using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The flight battery on the bench at one moment.</summary>
/// <param name="Voltage">What it gives under the load that there is.</param>
/// <param name="Current">What flows.</param>
/// <param name="Used">The charge that was taken out.</param>
/// <param name="Left">The share of its charge that is left, 0 to 100 %.</param>
public sealed record BatteryPicture(Volts Voltage, Amperes Current, MilliampHours Used, Percent Left);
