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

    /// <summary>As it is read in a sentence: seconds from one second up.</summary>
    public string Words => Value >= 1000 ? Figures.Plain(Value / 1000) + " s" : ToString();

    /// <inheritdoc />
    public override string ToString() => Figures.Plain(Value) + " ms";
}
