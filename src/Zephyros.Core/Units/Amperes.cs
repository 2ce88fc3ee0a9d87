namespace Zephyros.Core.Units;

/// <summary>A current.</summary>
public readonly record struct Amperes(double Value) : IQuantity<Amperes>
{
    /// <inheritdoc />
    public static string Symbol => "A";

    /// <inheritdoc />
    public static Amperes From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " A";
}
