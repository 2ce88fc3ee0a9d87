namespace Zephyros.Core.Procedure;

/// <summary>A part of the setup that evidence depends on.</summary>
/// <param name="Path">The part, as a JSON Pointer into the setup.</param>
/// <param name="Name">The part in words.</param>
/// <param name="Hash">The SHA-256 of its canonical JSON when the evidence was taken.</param>
public sealed record BasisPart(string Path, string Name, string Hash);
