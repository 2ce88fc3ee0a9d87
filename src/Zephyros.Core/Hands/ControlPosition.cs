namespace Zephyros.Core.Hands;

/// <summary>A position that a control can be put in.</summary>
/// <param name="Setting">The setting that puts it there; see <see cref="Control.Read"/>.</param>
/// <param name="Name">"safe", "mid", "far", "released" or "held".</param>
public sealed record ControlPosition(double Setting, string Name);
