using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>The signal was taken away at the bench, and the board did what it is set to do.</summary>
public sealed class TryLoss : TickRule
{
    /// <inheritdoc />
    public override string Id => "loss";

    /// <inheritdoc />
    public override int Order => 120;

    /// <inheritdoc />
    public override string Name => "Try the loss of the signal";

    /// <inheritdoc />
    public override string Why => "A receiver that goes on sending old values keeps the board from ever knowing.";

    /// <inheritdoc />
    public override string Caution => "Propellers off, craft held down.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Tried;

    /// <inheritdoc />
    protected override string NotNeeded => "Nothing arms this craft yet.";

    /// <inheritdoc />
    protected override string WordsAre => "what is to be tried";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan)
    {
        var (setup, board) = (plan.Setup, plan.Setup.Board);
        if (board.Arm?.Value is not { } arm)
            return [];
        IReadOnlyList<BasisPart> basis =
        [
            .. TryRefusals.Basis(setup, arm),
            .. EvidenceBasis.OfParts(
                setup,
                ("/air/onLoss", "the receiver's behaviour on a loss"),
                ("/air/givesUpAfter", "when the receiver gives up"),
                ("/air/presets", "the receiver's presets"),
                ("/board/loss", "what the board does on a loss"),
                ("/board/signalTimeout", "when the board calls the signal lost")
            ),
        ];
        var within = new Milliseconds(board.SignalTimeout.Value + board.Loss.Grace.Value);
        var notices = setup.Air.OnLoss switch
        {
            ReceiverLoss.Silent => "The board says that the signal is lost.",
            ReceiverLoss.Hold => "The receiver goes on sending the last values, and the board does not notice.",
            ReceiverLoss.Preset => "The receiver sends its presets, and the board does not notice.",
        };
        var armed = setup.Air.OnLoss switch
        {
            ReceiverLoss.Silent =>
                $"{within.Words} after the last frame the board {BoardGroups.Procedure(board.Loss)}.",
            ReceiverLoss.Hold => "The motors go on as before: the board never learns of the loss.",
            ReceiverLoss.Preset => "The motors do what the presets say.",
        };
        return
        [
            new("disarmed", "Disarmed, switch the transmitter off.", notices, basis),
            new("armed", "Arm, put the throttle stick to a third, and switch the transmitter off.", armed, basis),
            new(
                "returns",
                "Switch the transmitter on again, the arm switch on and the throttle up.",
                Returns(setup.Air.OnLoss, board.Loss),
                basis
            ),
        ];
    }

    private static string Returns(ReceiverLoss receiver, LossSettings loss) =>
        (receiver, loss.Procedure, loss.Recovery) switch
        {
            (not ReceiverLoss.Silent, _, _) => "The motors follow the throttle stick again.",
            (_, LossProcedure.Stop, _) => "No motor starts until the arm switch was off and on again.",
            (_, _, FlightRecovery.AtOnce) =>
                "While the board still flies by itself, the motors follow the throttle again with the first good frame; after it has stopped them, no motor starts.",
            _ =>
                "While the board still flies by itself, the motors follow the throttle again once a stick is moved; after it has stopped them, no motor starts.",
        };
}
