namespace Zephyros.Core.Flights;

/// <summary>How an alarm would do with one level and one time, on all flights together.</summary>
/// <param name="False">How often it would be false.</param>
/// <param name="Missed">On how many flights none stood at the critical moment.</param>
/// <param name="Lead">The least that it left before one; null when no flight had one at which it stood.</param>
public readonly record struct AlarmCell(int False, int Missed, TimeSpan? Lead)
{
    /// <summary>The two together.</summary>
    public AlarmCell With(AlarmScore score) =>
        new(
            False + score.False,
            Missed + (score.Missed ? 1 : 0),
            Lead is { } one && score.Lead is { } other ? (one < other ? one : other) : Lead ?? score.Lead
        );
}
