namespace Zephyros.Core.Hands;

/// <summary>Where one axis lies on the transmitter.</summary>
/// <param name="RightHand">True for the right stick, false for the left one.</param>
/// <param name="Vertical">True when the axis is moved up and down, false when it is moved left and right.</param>
public readonly record struct StickPlace(bool RightHand, bool Vertical)
{
    /// <summary>The place in words, for example "left stick".</summary>
    public override string ToString() => RightHand ? "right stick" : "left stick";
}
