namespace Zephyros.Core.Bench;

/// <summary>Something that the bench says, shown as a caption.</summary>
/// <param name="Number">Counts up from 1; a caption with a new number is new.</param>
/// <param name="Text">What is said.</param>
public sealed record Announcement(long Number, string Text);
