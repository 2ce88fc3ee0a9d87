namespace Zephyros.Core.Work;

/// <summary>How a step of the work, or one thing in it, stands.</summary>
public enum WorkState
{
    /// <summary>Computed to be so, or shown by evidence that stands.</summary>
    Done,

    /// <summary>It was done, and something that it depends on is another since.</summary>
    Stale,

    /// <summary>It was done or computed, and did not come out as it should.</summary>
    Failed,

    /// <summary>It is still to be done.</summary>
    ToDo,

    /// <summary>This craft does not need it.</summary>
    NotNeeded,
}
