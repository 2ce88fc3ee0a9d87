namespace Zephyros.Core.Bench;

/// <summary>Something that was said or that happened on the bench, in words.</summary>
/// <param name="Number">Counts up from 1; over all captions; the higher number is newer.</param>
/// <param name="Text">What is said.</param>
public sealed record Caption(long Number, string Text);
