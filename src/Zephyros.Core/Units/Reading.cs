namespace Zephyros.Core.Units;

/// <summary>What a telemetry sensor reports, in the sensor's own unit (volts, metres, percent of packets).</summary>
/// <remarks>The unit is data of the sensor, so the type carries none: two readings may be compared only when one sensor gave both.</remarks>
public readonly record struct Reading(double Value) : IQuantity<Reading>
{
    /// <inheritdoc />
    public static string Symbol => "";

    /// <inheritdoc />
    public static Reading From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value);
}
