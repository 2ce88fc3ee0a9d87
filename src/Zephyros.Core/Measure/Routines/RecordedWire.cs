using Zephyros.Core.Captures;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a recording of the signal wire speaks beside what a setup says that it does.</summary>
/// <param name="setup">The setup.</param>
/// <param name="verdict">What the recording was recognised as.</param>
public sealed class RecordedWire(Setup setup, CaptureVerdict verdict)
{
    // A receiver keeps its period within a few percent; a usual other one is twice as long or half as long.
    [Figure(Station.Wire, "A recorded period is the planned one within a share of", ProvenanceKind.OwnAssumption)]
    private const double Alike = 0.25;

    private bool Same => verdict.Format == setup.Wire.Format;

    /// <summary>True when it speaks what the setup says, the right way round.</summary>
    public bool Fits => Same && !verdict.IsFlipped;

    /// <summary>What does not agree, a sentence each.</summary>
    public IReadOnlyList<string> Differences =>
        verdict.Format is not { } format ? []
        : !Same ? [$"The setup says {setup.Wire.Format.Describe().Name}; the wire speaks {format.Describe().Name}."]
        : verdict.Interval is { } interval && !IsPeriod(interval)
            ?
            [
                $"The setup says a frame every {setup.Wire.FramePeriod}; here they come every {Figures.Plain(interval.Value)} ms.",
            ]
        : [];

    /// <summary>What makes the setup say what the wire speaks; null when it does, or nothing was recognised.</summary>
    public SetupEdit? Edit =>
        verdict.Format is { } format && !Same ? WireEdits.SpeakFormat(setup, format, verdict.Interval) : null;

    private bool IsPeriod(Milliseconds interval) =>
        interval.ApartFrom(setup.Wire.FramePeriod).Value <= setup.Wire.FramePeriod.Value * Alike;
}
