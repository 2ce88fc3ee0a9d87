namespace Zephyros.Core.Units;

/// <summary>A height or a distance near the craft.</summary>
public readonly record struct Metres(double Value) : IQuantity<Metres>
{
    /// <inheritdoc />
    public static string Symbol => "m";

    /// <inheritdoc />
    public static Metres From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " m";
}
