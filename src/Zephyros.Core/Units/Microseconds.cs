namespace Zephyros.Core.Units;

/// <summary>A servo pulse or channel value in microseconds; 1500 is neutral, 1000 to 2000 is full travel to a board.</summary>
public readonly record struct Microseconds(double Value) : IQuantity<Microseconds>
{
    /// <summary>The neutral pulse, 1500 us.</summary>
    [Figure(Station.Wire, "The neutral pulse is", ProvenanceKind.CommonPractice)]
    public static readonly Microseconds Neutral = new(1500);

    /// <summary>The lower end of a board's full travel.</summary>
    [Figure(Station.Board, "A board takes as full travel from", ProvenanceKind.CommonPractice)]
    public static readonly Microseconds Low = new(1000);

    /// <summary>The upper end of a board's full travel.</summary>
    [Figure(Station.Board, "A board takes as full travel up to", ProvenanceKind.CommonPractice)]
    public static readonly Microseconds High = new(2000);

    /// <inheritdoc />
    public static string Symbol => "µs";

    /// <inheritdoc />
    public static Microseconds From(double value) => new(value);

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " µs";
}
