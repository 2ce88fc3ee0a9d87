using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board calls the signal lost after so few frames that a couple of missed ones are a loss.</summary>
public sealed class TimeoutTooShort : IFindingRule
{
    [Figure(
        Station.Board,
        "A board calls the signal lost after no fewer missed frames than",
        ProvenanceKind.OwnAssumption
    )]
    private const int Frames = 3;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var (timeout, period) = (plan.Setup.Board.SignalTimeout, plan.Setup.Wire.FramePeriod);
        var least = new Milliseconds(Math.Ceiling(Frames * period.Value));
        if (timeout >= least)
            yield break;
        yield return new Finding
        {
            Key = "timeout-too-short",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/signalTimeout",
            Title = "Two missed frames are a lost signal",
            What = $"The board calls the signal lost after {timeout}; a frame comes every {period}.",
            Why = "Single frames are missed in every flight: the board would begin its procedure over nothing.",
            Provenance = Provenance.Own("at least three frame periods"),
            MayBeJustified = true,
            Fixes = [new Fix("longer", $"Calls it lost after {least}.", BoardEdits.LoseSignalAfter(plan.Setup, least))],
        };
    }
}
