namespace Zephyros.Core.Units;

/// <summary>A distance in kilometres.</summary>
public readonly record struct Kilometres(double Value) : IQuantity<Kilometres>
{
    /// <inheritdoc />
    public static string Symbol => "km";

    /// <inheritdoc />
    public static Kilometres From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " km";
}
