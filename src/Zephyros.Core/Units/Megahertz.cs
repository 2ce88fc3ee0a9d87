namespace Zephyros.Core.Units;

/// <summary>A radio frequency in megahertz.</summary>
public readonly record struct Megahertz(double Value) : IQuantity<Megahertz>
{
    /// <inheritdoc />
    public static string Symbol => "MHz";

    /// <inheritdoc />
    public static Megahertz From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " MHz";
}
