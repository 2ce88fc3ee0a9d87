namespace Zephyros.Core.Loss;

/// <summary>A movement of a hand before a loss.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Setting">Where it is put: percent for a stick, the position for a switch, 0 or 1 for a button.</param>
/// <param name="Words">The same in words.</param>
public sealed record LossHand(string Control, double Setting, string Words);
