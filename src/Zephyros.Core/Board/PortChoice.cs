namespace Zephyros.Core.Board;

/// <summary>A port as a place for the receiver.</summary>
/// <param name="Port">The id of the port.</param>
/// <param name="Fit">How well it takes the receiver.</param>
/// <param name="Reasons">Why.</param>
/// <param name="Steps">What to solder and to set, and what to read back; empty when the port cannot be used.</param>
public sealed record PortChoice(string Port, PortFit Fit, IReadOnlyList<string> Reasons, IReadOnlyList<string> Steps);
