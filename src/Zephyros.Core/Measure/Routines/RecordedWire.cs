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

    // What the board would take for a loss.
    private LossStretch? Silence =>
        verdict.Loss.LongestGap is { } gap && gap.Length >= setup.Board.SignalTimeout ? gap : null;

    private bool IsLost => verdict.Loss.FramesInLoss > 0 || Silence is not null;

    /// <summary>True when it speaks what the setup says, the right way round, and shows no loss of the signal.</summary>
    public bool Fits => Same && !verdict.IsFlipped && !IsLost;

    /// <summary>What was lost, a sentence each, the worst first; to be said before all else.</summary>
    public IReadOnlyList<string> Losses =>
        [
            .. Silence is null
                ? Array.Empty<string>()
                : [$"{Longest}: the board calls {setup.Board.SignalTimeout} without one a loss."],
            .. verdict.Loss.Words,
        ];

    /// <summary>What does not agree, or what does although the recording does not fit, a sentence each; the longest gap at the end where
    /// it is no loss.</summary>
    public IReadOnlyList<string> Differences =>
        [
            .. Disagreements,
            .. Same && !verdict.IsFlipped && IsLost
                ? ["Format and polarity are those of the setup."]
                : Array.Empty<string>(),
            .. Silence is null && Longest is { Length: > 0 } longest ? [longest + "."] : Array.Empty<string>(),
        ];

    private string Longest =>
        verdict.Loss.LongestGap is { } gap
            ? $"The longest time from one fresh frame to the next is {gap.Length}, at {Figures.Plain(gap.From.Value / 1000, 3)} s"
            : "";

    private IReadOnlyList<string> Disagreements =>
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
