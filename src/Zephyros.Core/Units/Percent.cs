namespace Zephyros.Core.Units;

/// <summary>A transmitter value in percent: -100 and +100 are the ends of normal travel, 0 is the centre.</summary>
public readonly record struct Percent(double Value) : IQuantity<Percent>
{
    /// <summary>The low end of normal travel, -100 %.</summary>
    public static readonly Percent Low = new(-100);

    /// <summary>The centre, 0 %.</summary>
    public static readonly Percent Centre = new(0);

    /// <summary>The high end of normal travel, +100 %.</summary>
    public static readonly Percent High = new(100);

    /// <inheritdoc />
    public static string Symbol => "%";

    /// <inheritdoc />
    public static Percent From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Signed(Value) + " %";
}
