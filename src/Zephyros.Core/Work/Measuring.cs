using Zephyros.Core.Evidence;

namespace Zephyros.Core.Work;

/// <summary>What the steps that are shown by measurements have in common.</summary>
internal static class Measuring
{
    /// <summary>Why nothing is shown yet.</summary>
    /// <param name="facts">What there is.</param>
    /// <param name="fits">What would show it, if it came from a real board.</param>
    public static string NoneYet(WorkFacts facts, Predicate<MeasurementRecord> fits) =>
        facts.Measurements.Any(m => m.Record.Simulated && fits(m.Record))
            ? "Measured on the simulated board only, which proves nothing of the real one."
            : "Not measured at the board yet.";
}
