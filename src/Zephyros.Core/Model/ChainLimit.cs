using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>What a chain can hold: whatever is multiplied, it stays a number.</summary>
public static class ChainLimit
{
    /// <summary>The largest value, in percent, to either side. Far beyond anything that is sent.</summary>
    [Figure(Station.Model, "A value in a chain is at most, to either side", ProvenanceKind.OwnAssumption)]
    public static readonly Percent Largest = new(1e6);
}
