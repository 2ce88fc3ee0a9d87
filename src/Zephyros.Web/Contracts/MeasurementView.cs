using Zephyros.Core.Evidence;

namespace Zephyros.Web.Contracts;

/// <summary>A measurement that was recorded, and whether it still stands.</summary>
/// <param name="Id">Its number.</param>
/// <param name="TakenAt">When it was recorded.</param>
/// <param name="Record">What was seen.</param>
/// <param name="Changed">The parts of the setup that are another now, in words; none while the record stands.</param>
public sealed record MeasurementView(
    long Id,
    DateTimeOffset TakenAt,
    MeasurementRecord Record,
    IReadOnlyList<string> Changed
);
