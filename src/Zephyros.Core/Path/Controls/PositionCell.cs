using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Controls;

/// <summary>One position of a control.</summary>
/// <param name="Setting">The setting that puts the control there.</param>
/// <param name="Name">"safe", "mid", "far", "released" or "held".</param>
/// <param name="Received">What arrives at the board.</param>
/// <param name="Functions">The ids of the board functions that are active there.</param>
/// <param name="Room">How far it lies from the nearest edge of a band; null when no band can be crossed.</param>
public sealed record PositionCell(
    double Setting,
    string Name,
    Microseconds Received,
    IReadOnlyList<string> Functions,
    BandRoom? Room
)
{
    /// <summary>True when a board function is active there.</summary>
    public bool Activates(string functionId) => Functions.Contains(functionId, StringComparer.Ordinal);
}
