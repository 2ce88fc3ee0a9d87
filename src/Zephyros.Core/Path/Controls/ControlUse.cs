namespace Zephyros.Core.Path.Controls;

/// <summary>What a control does: derived from the model and the board, never written down twice.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Channels">The channels that it can change, those that take it first.</param>
/// <param name="Asked">The labels of the conditions that ask for it themselves.</param>
/// <param name="Positions">What each position does while all other controls rest at their start; for a control without positions its
/// low end, centre and high end.</param>
public sealed record ControlUse(
    string Control,
    IReadOnlyList<string> Channels,
    IReadOnlyList<string> Asked,
    IReadOnlyList<PositionUse> Positions
)
{
    /// <summary>True when nothing takes the control and nothing asks for it.</summary>
    public bool Free => Channels.Count == 0 && Asked.Count == 0;
}
