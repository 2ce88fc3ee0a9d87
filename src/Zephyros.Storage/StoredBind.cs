using Zephyros.Core.Procedure;

namespace Zephyros.Storage;

/// <summary>A bind that was recorded.</summary>
/// <param name="Id">Its number in the data file.</param>
/// <param name="TakenAt">When it was recorded.</param>
/// <param name="Record">What was done and seen.</param>
/// <param name="Basis">What it depends on, as it was then.</param>
public sealed record StoredBind(long Id, DateTimeOffset TakenAt, BindRecord Record, IReadOnlyList<BasisPart> Basis);
