namespace Zephyros.Core.Units;

/// <summary>An angle in degrees.</summary>
public readonly record struct Degrees(double Value) : IQuantity<Degrees>
{
    /// <inheritdoc />
    public static string Symbol => "°";

    /// <inheritdoc />
    public static Degrees From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value, 0) + "°";
}
