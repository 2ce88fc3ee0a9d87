namespace Zephyros.Core.Proof.Throttle;

/// <summary>A movement of the throttle stick, and what becomes of it at the board.</summary>
/// <param name="Memory">The memory of the model before it.</param>
/// <param name="Word">The positions of the other inputs: the word.</param>
/// <param name="Bit">Their bit; the stick stands in its first cell there.</param>
/// <param name="Cell">The cell that the stick stands in before it.</param>
/// <param name="From">Where the stick stands before, in percent.</param>
/// <param name="To">Where it goes, in percent.</param>
/// <param name="Before">What the board takes for the throttle before, in microseconds.</param>
/// <param name="After">And after it.</param>
internal sealed record ResponsePlace(
    int Memory,
    int Word,
    int Bit,
    int Cell,
    double From,
    double To,
    double Before,
    double After
)
{
    /// <summary>Where sampled inputs stand.</summary>
    public IReadOnlyList<(int Input, double Setting)> Settings { get; init; } = [];

    /// <summary>Where something that remembers changes on the way, in percent of the stick.</summary>
    public IReadOnlyList<double> Passed { get; init; } = [];

    /// <summary>How much it grows, in microseconds.</summary>
    public double Growth => After - Before;
}
