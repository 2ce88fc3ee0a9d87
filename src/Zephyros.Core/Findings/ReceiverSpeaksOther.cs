using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Findings;

/// <summary>The receiver is set to another wire format than the board.</summary>
public sealed class ReceiverSpeaksOther : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (setup.Wire.ReceiverSpeaks is not { } speaks || speaks == setup.Wire.Format)
            yield break;
        yield return new Finding
        {
            Key = "receiver-speaks-other",
            Severity = Severity.Danger,
            Station = Station.Wire,
            Place = "/wire/receiverSpeaks",
            Title = "Receiver and board are set to different formats",
            What = $"The receiver is set to {speaks.Describe().Name}, the board to {plan.Wire.Name}.",
            Why = "The board sees no signal. It will not arm, and the fault looks like a dead receiver.",
            Provenance = Provenance.Practice(),
            MayBeJustified = false,
            Fixes =
            [
                new(
                    "receiver",
                    $"Set the receiver to {plan.Wire.Name}.",
                    WireEdits.ReceiverSpeaks(setup, setup.Wire.Format)
                ),
                new(
                    "board",
                    $"Set the board to {speaks.Describe().Name}, save, and let it restart.",
                    WireEdits.SpeakFormat(setup, speaks)
                ),
            ],
        };
    }
}
