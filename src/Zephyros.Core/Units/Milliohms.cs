namespace Zephyros.Core.Units;

/// <summary>A resistance.</summary>
public readonly record struct Milliohms(double Value) : IQuantity<Milliohms>
{
    /// <inheritdoc />
    public static string Symbol => "mΩ";

    /// <inheritdoc />
    public static Milliohms From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " mΩ";
}
