namespace Zephyros.Core.Evidence;

/// <summary>A part of the setup that evidence depends on.</summary>
/// <param name="Path">The part: a JSON Pointer into the setup, or the name of something that is worked out from it, which has no stroke
/// in front.</param>
/// <param name="Name">The part in words.</param>
/// <param name="Hash">The SHA-256 of its canonical JSON when the evidence was taken.</param>
public sealed record BasisPart(string Path, string Name, string Hash);
