namespace Zephyros.Core.Units;

/// <summary>A voltage.</summary>
public readonly record struct Volts(double Value) : IQuantity<Volts>
{
    /// <inheritdoc />
    public static string Symbol => "V";

    /// <inheritdoc />
    public static Volts From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " V";
}
