namespace Zephyros.Core.Units;

/// <summary>A span of time in milliseconds, as it stands in a setup document. Computation uses <see cref="TimeSpan"/>.</summary>
public readonly record struct Milliseconds(double Value) : IQuantity<Milliseconds>
{
    /// <inheritdoc />
    public static string Symbol => "ms";

    /// <inheritdoc />
    public static Milliseconds From(double value) => new(value);

    /// <summary>The same span for computation, rounded to 100 ns ticks.</summary>
    public TimeSpan ToTimeSpan() => TimeSpan.FromTicks((long)Math.Round(Value * TimeSpan.TicksPerMillisecond));

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " ms";
}
