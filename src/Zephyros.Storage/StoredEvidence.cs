using Zephyros.Core.Evidence;

namespace Zephyros.Storage;

/// <summary>Something that was done or measured at the bench.</summary>
/// <param name="Id">Its number in the data file.</param>
/// <param name="TakenAt">When it was recorded.</param>
/// <param name="Record">What was done and seen.</param>
/// <param name="Basis">What it depends on, as it was then.</param>
public sealed record StoredEvidence<T>(long Id, DateTimeOffset TakenAt, T Record, IReadOnlyList<BasisPart> Basis);
