namespace Zephyros.Core.Flights;

/// <summary>How an alarm did on a recorded flight.</summary>
/// <param name="False">How often it was false.</param>
/// <param name="Critical">When the critical moment came; null when it never did.</param>
/// <param name="Lead">From the alarm that stood at the critical moment to that; null when none stood, or the moment never came.</param>
public readonly record struct AlarmScore(int False, TimeSpan? Critical, TimeSpan? Lead)
{
    /// <summary>True when the critical moment came and no alarm stood.</summary>
    public bool Missed => Critical is not null && Lead is null;
}
