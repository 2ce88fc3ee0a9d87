namespace Zephyros.Core.Units;

/// <summary>A rate of repetition per second.</summary>
public readonly record struct Hertz(double Value) : IQuantity<Hertz>
{
    /// <inheritdoc />
    public static string Symbol => "Hz";

    /// <inheritdoc />
    public static Hertz From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " Hz";
}
