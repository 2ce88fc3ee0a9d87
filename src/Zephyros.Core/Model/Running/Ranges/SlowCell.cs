namespace Zephyros.Core.Model.Running.Ranges;

/// <summary>A stretch of what a slow step gives, in which no comparison on the way tells two values apart.</summary>
/// <param name="From">Its lowest value, in percent.</param>
/// <param name="UpTo">Its highest value, in percent.</param>
/// <param name="Example">One of its values.</param>
internal readonly record struct SlowCell(double From, double UpTo, double Example)
{
    /// <summary>All of its values, with their source.</summary>
    public ValueRange Range(ulong source) => new(Example, From, UpTo, source);
}
