using Zephyros.Core.Evidence;
using Zephyros.Core.Findings;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Verdicts;

namespace Zephyros.Core.Work;

/// <summary>What the steps of the work are derived from.</summary>
/// <param name="Plan">The valid setup, compiled.</param>
/// <param name="Findings">What the rules find in it.</param>
/// <param name="Verdict">What rules and proof say together.</param>
/// <param name="Binds">The records of binds, the newest first.</param>
/// <param name="Measurements">The measurements, the newest first.</param>
/// <param name="Ticks">What was ticked, the newest first.</param>
/// <param name="Others">The other craft of the fleet, each with the name under which the transmitter stores its model.</param>
public sealed record WorkFacts(
    SignalPlan Plan,
    IReadOnlyList<Finding> Findings,
    CraftVerdict Verdict,
    IReadOnlyList<Kept<BindRecord>> Binds,
    IReadOnlyList<Kept<MeasurementRecord>> Measurements,
    IReadOnlyList<Ticked> Ticks,
    IReadOnlyList<(string Craft, string Stored)> Others
)
{
    /// <summary>The setup.</summary>
    public Setup Setup => Plan.Setup;

    /// <summary>Measurements of a real board; what the simulated one shows proves nothing of it.</summary>
    public IEnumerable<Kept<MeasurementRecord>> Real => Measurements.Where(m => !m.Record.Simulated);
}
