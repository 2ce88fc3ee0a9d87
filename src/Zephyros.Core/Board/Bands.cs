using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>How boards let bands be set.</summary>
public static class Bands
{
    /// <summary>The distance between the values that an edge of a band can have.</summary>
    [Figure(Station.Board, "The edges of a band move in steps of", ProvenanceKind.FromMemory)]
    public static readonly Microseconds Step = new(25);

    /// <summary>Where a band begins that is open below: nothing that a board takes for valid lies lower.</summary>
    [Figure(Station.Board, "A band that is open below begins at", ProvenanceKind.FromMemory)]
    public static readonly Microseconds Lowest = new(900);

    /// <summary>Where a band ends that is open above: nothing that a board takes for valid lies higher.</summary>
    [Figure(Station.Board, "A band that is open above ends at", ProvenanceKind.FromMemory)]
    public static readonly Microseconds Highest = new(2100);

    /// <summary>Where the band of a new function begins.</summary>
    [Figure(
        Station.Board,
        "The band of a new function begins at",
        ProvenanceKind.OwnAssumption,
        Note = "between the middle and the far end of any switch with two positions, whatever the scale"
    )]
    public static readonly Microseconds FarEnd = new(1700);
}
