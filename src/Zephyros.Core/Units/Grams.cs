namespace Zephyros.Core.Units;

/// <summary>A mass.</summary>
public readonly record struct Grams(double Value) : IQuantity<Grams>
{
    /// <inheritdoc />
    public static string Symbol => "g";

    /// <inheritdoc />
    public static Grams From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " g";
}
