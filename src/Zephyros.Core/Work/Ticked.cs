using Zephyros.Core.Evidence;

namespace Zephyros.Core.Work;

/// <summary>A tick as it was recorded, with what it depended on then.</summary>
/// <param name="Record">What was ticked.</param>
/// <param name="TakenAt">When.</param>
/// <param name="Basis">What it depended on.</param>
public sealed record Ticked(TickRecord Record, DateTimeOffset TakenAt, IReadOnlyList<BasisPart> Basis);
