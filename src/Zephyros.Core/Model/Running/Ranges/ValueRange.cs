using System.Numerics;

namespace Zephyros.Core.Model.Running.Ranges;

/// <summary>All values that something can have at once, in percent, and one of them.</summary>
/// <param name="Value">The value while every source stands at its example.</param>
/// <param name="Low">No value lies below this.</param>
/// <param name="High">No value lies above this.</param>
/// <param name="Sources">The bits of the continuous sources that make it uncertain.</param>
internal readonly record struct ValueRange(double Value, double Low, double High, ulong Sources)
{
    // More than all rounding of binary fractions on the way together.
    private const double Slack = 1e-9;

    public static ValueRange Exactly(double value) => new(value, value, value, 0);

    /// <summary>True when at most one source makes it uncertain. A cell of a single source is made so that every comparison comes out
    /// the same for all of its values: the example then stands for all.</summary>
    public bool ExampleDecides => BitOperations.PopCount(Sources) <= 1;

    public ValueRange Linear(double factor, double shift)
    {
        var (one, other) = ((Low * factor) + shift, (High * factor) + shift);
        return new ValueRange(
            (Value * factor) + shift,
            Math.Min(one, other),
            Math.Max(one, other),
            factor == 0 ? 0 : Sources
        );
    }

    public ValueRange Plus(ValueRange other) =>
        Outward(Value + other.Value, Low + other.Low, High + other.High, Sources | other.Sources);

    public ValueRange Times(ValueRange other)
    {
        Span<double> products = [Low * other.Low, Low * other.High, High * other.Low, High * other.High];
        var (low, high) = (double.PositiveInfinity, double.NegativeInfinity);
        foreach (var product in products)
            (low, high) = (Math.Min(low, product), Math.Max(high, product));
        return Outward(Value * other.Value, low, high, Sources | other.Sources);
    }

    /// <summary>With so much more room to either side.</summary>
    public ValueRange Wandering(double by) => this with { Low = Low - by, High = High + by };

    public ValueRange Held(double low, double high) =>
        new(
            Math.Min(Math.Max(Value, low), high),
            Math.Min(Math.Max(Low, low), high),
            Math.Min(Math.Max(High, low), high),
            Sources
        );

    // The sources stay even where they make no difference here: the cells of one were cut with the others anywhere, so its example
    // must not decide alone for what it shares with them.
    private static ValueRange Outward(double value, double low, double high, ulong sources) =>
        low == high ? new(value, low, high, sources) : new(value, low - Slack, high + Slack, sources);
}
