namespace Zephyros.Core.Units;

/// <summary>A ratio of powers: a gain, a loss, a margin.</summary>
public readonly record struct Decibels(double Value) : IQuantity<Decibels>
{
    /// <inheritdoc />
    public static string Symbol => "dB";

    /// <inheritdoc />
    public static Decibels From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " dB";
}
