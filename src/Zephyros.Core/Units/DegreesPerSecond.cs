namespace Zephyros.Core.Units;

/// <summary>A rate of turn in degrees per second.</summary>
public readonly record struct DegreesPerSecond(double Value) : IQuantity<DegreesPerSecond>
{
    /// <inheritdoc />
    public static string Symbol => "°/s";

    /// <inheritdoc />
    public static DegreesPerSecond From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value, 0) + " °/s";
}
