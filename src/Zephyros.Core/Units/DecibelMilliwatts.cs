namespace Zephyros.Core.Units;

/// <summary>A power against one milliwatt: a signal strength or a sensitivity.</summary>
public readonly record struct DecibelMilliwatts(double Value) : IQuantity<DecibelMilliwatts>
{
    /// <inheritdoc />
    public static string Symbol => "dBm";

    /// <inheritdoc />
    public static DecibelMilliwatts From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " dBm";
}
