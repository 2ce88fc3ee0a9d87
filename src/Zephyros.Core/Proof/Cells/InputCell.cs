namespace Zephyros.Core.Proof.Cells;

/// <summary>Values of an input that no comparison on the path tells apart: one stretch, or several that are alike.</summary>
/// <param name="Stretches">The stretches: percent for a control, the sensor's unit for a reading, the position for a switch.</param>
/// <param name="Example">One of the values: where the input starts if that is among them, otherwise a plain figure.</param>
public sealed record InputCell(IReadOnlyList<InputStretch> Stretches, double Example)
{
    /// <summary>True when something about it is left open, which another input or a slow step decides together with it: a movement
    /// from here to here may then make a difference.</summary>
    public bool Open { get; init; }

    /// <summary>A cell of one value.</summary>
    public static InputCell Of(double value) => new([new InputStretch(value, value)], value);

    /// <summary>True when a value lies in it.</summary>
    public bool Covers(double value) => Stretches.Any(s => value >= s.From && value <= s.UpTo);

    /// <summary>The stretch in which the example lies.</summary>
    internal InputStretch ExampleStretch => Stretches.First(s => Example >= s.From && Example <= s.UpTo);
}
