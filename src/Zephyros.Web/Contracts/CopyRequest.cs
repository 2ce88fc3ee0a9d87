namespace Zephyros.Web.Contracts;

/// <summary>A wish for a new craft that starts as a copy of a proven one.</summary>
/// <param name="Name">The new craft's name.</param>
public sealed record CopyRequest(string Name);
