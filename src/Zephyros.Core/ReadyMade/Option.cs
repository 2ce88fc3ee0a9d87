namespace Zephyros.Core.ReadyMade;

/// <summary>Something that can be chosen.</summary>
/// <param name="Value">The value in a request.</param>
/// <param name="Label">What it is called on screen.</param>
public sealed record Option(string Value, string Label);
