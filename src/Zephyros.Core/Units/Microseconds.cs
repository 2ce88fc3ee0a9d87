namespace Zephyros.Core.Units;

/// <summary>A servo pulse or channel value in microseconds; 1500 is neutral, 1000 to 2000 is full travel to a board.</summary>
/// <remarks>Neutral and travel: common practice, no source.</remarks>
public readonly record struct Microseconds(double Value) : IQuantity<Microseconds>
{
    /// <summary>The neutral pulse, 1500 us.</summary>
    public static readonly Microseconds Neutral = new(1500);

    /// <inheritdoc />
    public static string Symbol => "µs";

    /// <inheritdoc />
    public static Microseconds From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " µs";
}
