namespace Zephyros.Core.Units;

/// <summary>A radio power in milliwatts.</summary>
public readonly record struct Milliwatts(double Value) : IQuantity<Milliwatts>
{
    /// <inheritdoc />
    public static string Symbol => "mW";

    /// <inheritdoc />
    public static Milliwatts From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " mW";
}
