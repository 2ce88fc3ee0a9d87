using Zephyros.Core.Findings;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Symptoms;

/// <summary>What a setup says about its symptoms: its findings, and what the simulated board shows.</summary>
internal sealed class SymptomCase
{
    // A bar that stands so far from its centre turns the picture fast.
    private const double FastTurn = 250;

    private readonly IReadOnlyList<Finding> findings;

    public SymptomCase(SignalPlan plan)
    {
        Plan = plan;
        findings = Examination.Of(plan.Setup);
        AtStart = plan.CreateValues();
        plan.Settle(AtStart);
    }

    public SignalPlan Plan { get; }

    /// <summary>Everything on the way while all controls stand at their start.</summary>
    public SignalValues AtStart { get; }

    /// <summary>The findings whose keys begin with one of these words.</summary>
    public IReadOnlyList<Finding> Found(params ReadOnlySpan<string> beginnings)
    {
        var found = new List<Finding>();
        foreach (var finding in findings)
        foreach (var beginning in beginnings)
            if (finding.Key == beginning || finding.Key.StartsWith(beginning + ":", StringComparison.Ordinal))
                found.Add(finding);
        return found;
    }

    /// <summary>The bar of an axis while all controls stand at their start.</summary>
    public Microseconds Bar(StickAxis axis) =>
        Plan.Setup.Board.Scaled(axis, AtStart.Received[Plan.Setup.Board.Map.ChannelOf(axis).Value - 1]);

    /// <summary>True when roll, pitch or yaw stands far from its centre without anybody's doing.</summary>
    public bool Spins =>
        new[] { StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw }.Any(axis =>
            Bar(axis).ApartFrom(Plan.Setup.Board.Centre).Value > FastTurn
        );

    /// <summary>True when one stick moves more than one bar, or none.</summary>
    public bool SticksMixed =>
        StickAxes.All.Any(stick =>
            Plan.Setup.Transmitter.StickOf(stick) is not null && SimulatedMeasurement.Wiggled(Plan, stick) is null
        );
}
