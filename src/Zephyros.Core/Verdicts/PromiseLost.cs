namespace Zephyros.Core.Verdicts;

/// <summary>A promise that an edit would take away.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Reason">What the proof says of it then.</param>
public sealed record PromiseLost(string Name, string Reason);
