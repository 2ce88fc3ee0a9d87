using Zephyros.Core.Units;

namespace Zephyros.Core.Work;

/// <summary>Where a step is done.</summary>
/// <param name="Station">The station of the path; null for the list of the work itself and for the proof.</param>
/// <param name="Part">The part of the station; "proof" for the proof; empty where there are none.</param>
public sealed record WorkPlace(Station? Station, string Part = "")
{
    /// <summary>In the list itself: each thing is ticked there.</summary>
    public static WorkPlace Here { get; } = new((Station?)null);

    /// <summary>In the proof.</summary>
    public static WorkPlace Proof { get; } = new((Station?)null, "proof");
}
