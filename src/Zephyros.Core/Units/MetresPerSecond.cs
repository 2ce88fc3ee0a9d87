namespace Zephyros.Core.Units;

/// <summary>A speed.</summary>
public readonly record struct MetresPerSecond(double Value) : IQuantity<MetresPerSecond>
{
    /// <inheritdoc />
    public static string Symbol => "m/s";

    /// <inheritdoc />
    public static MetresPerSecond From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " m/s";
}
