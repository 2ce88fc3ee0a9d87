using System.Collections.Immutable;
using Zephyros.Core.Model.Logic;

namespace Zephyros.Core.ReadyMade;

/// <summary>Some positions of a control.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Positions">The positions.</param>
public sealed record ControlPositions(string Control, ImmutableArray<int> Positions)
{
    /// <summary>The test that one of them is taken.</summary>
    public PositionTest Test => new() { Control = Control, Positions = Positions };
}
