namespace Zephyros.Web.Contracts;

/// <summary>A wire of a recording, to choose it by.</summary>
/// <param name="Id">Under which it can be asked for; for a while.</param>
/// <param name="Name">Its name in the file; empty for bare bytes.</param>
/// <param name="Title">What it speaks.</param>
public sealed record CaptureLineView(string Id, string Name, string Title);
