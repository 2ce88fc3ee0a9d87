namespace Zephyros.Core.Work;

/// <summary>A piece of evidence, and whether it still stands.</summary>
/// <param name="Record">What was done and seen.</param>
/// <param name="TakenAt">When.</param>
/// <param name="Changed">What it depends on that is another since, in words; empty while it stands.</param>
public sealed record Kept<T>(T Record, DateTimeOffset TakenAt, IReadOnlyList<string> Changed)
{
    /// <summary>True while nothing that it depends on is another.</summary>
    public bool Stands => Changed.Count == 0;
}
