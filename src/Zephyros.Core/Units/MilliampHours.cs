namespace Zephyros.Core.Units;

/// <summary>A charge.</summary>
public readonly record struct MilliampHours(double Value) : IQuantity<MilliampHours>
{
    /// <inheritdoc />
    public static string Symbol => "mAh";

    /// <inheritdoc />
    public static MilliampHours From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " mAh";
}
