namespace Zephyros.Core.Path.Controls;

/// <summary>What one position of a control does while all others rest at their start.</summary>
/// <param name="Setting">The setting of the position.</param>
/// <param name="Name">Its name.</param>
/// <param name="Values">What arrives on each of the control's channels.</param>
/// <param name="Does">What it makes happen: board functions, conditions, the flight state, overrides; in words.</param>
public sealed record PositionUse(
    double Setting,
    string Name,
    IReadOnlyList<ChannelValue> Values,
    IReadOnlyList<string> Does
);
