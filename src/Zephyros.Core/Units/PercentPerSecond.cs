namespace Zephyros.Core.Units;

/// <summary>How fast a transmitter value changes, in percent of travel each second; full travel is 200 %.</summary>
public readonly record struct PercentPerSecond(double Value) : IQuantity<PercentPerSecond>
{
    /// <inheritdoc />
    public static string Symbol => "%/s";

    /// <inheritdoc />
    public static PercentPerSecond From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " %/s";
}
