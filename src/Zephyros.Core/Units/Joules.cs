namespace Zephyros.Core.Units;

/// <summary>An energy.</summary>
public readonly record struct Joules(double Value) : IQuantity<Joules>
{
    /// <inheritdoc />
    public static string Symbol => "J";

    /// <inheritdoc />
    public static Joules From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " J";
}
