using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>The signal was taken away at the bench, and the board did what it is set to do.</summary>
public sealed class TryLoss : TickRule
{
    /// <summary>The id of the step.</summary>
    public const string Step = "loss";

    /// <summary>The id of what is looked at on the signal wire.</summary>
    public const string Wire = "wire";

    /// <inheritdoc />
    public override string Id => Step;

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
        var times = LossTimes.Of(setup);
        var notices = setup.Air.OnLoss switch
        {
            ReceiverLoss.Silent => $"Within {Seconds(times!.Notices)} the board says that the signal is lost.",
            ReceiverLoss.Hold => "The receiver goes on sending the last values, and the board does not notice.",
            ReceiverLoss.Preset => "The receiver sends its presets, and the board does not notice.",
        };
        return
        [
            new("disarmed", "Disarmed, switch the transmitter off.", notices, basis) { Within = times?.Notices },
            new("armed", $"{Idle(board.Loss)} switch the transmitter off.", Does(setup, times), basis)
            {
                Within = times?.Stops,
            },
            new(
                "returns",
                "Switch the transmitter on again, the arm switch as it is and the throttle low.",
                times is null
                    ? "The motors follow the throttle stick again."
                    : "No motor starts until the arm switch was off and on again.",
                basis
            ),
            .. Deliberate(setup, basis),
            OnWire(setup),
        ];
    }

    // A recording of the wire takes its time by itself, and tells silence, held values, flag and presets apart.
    private static Deed OnWire(Setup setup)
    {
        var gives = setup.Air.GivesUp;
        return new(
            Wire,
            "Keep a stick going round, switch the transmitter off for some seconds and on again, and record the signal wire meanwhile.",
            setup.Air.OnLoss switch
            {
                ReceiverLoss.Silent =>
                    $"Within {Seconds(gives)} the receiver falls silent, or its frames say that the signal is lost.",
                ReceiverLoss.Hold => "The frames go on with the last values, and do not say that the signal is lost.",
                ReceiverLoss.Preset =>
                    $"Within {Seconds(gives)} the frames carry the presets, and the last values else.",
            },
            EvidenceBasis.OfParts(
                setup,
                ("/air/profile", "the radio system"),
                ("/air/receiver", "the receiver"),
                ("/air/onLoss", "the receiver's behaviour on a loss"),
                ("/air/givesUpAfter", "when the receiver gives up"),
                ("/air/presets", "the receiver's presets"),
                ("/wire", "the signal wire")
            )
        )
        {
            Within = setup.Air.OnLoss == ReceiverLoss.Hold ? null : gives,
            Optional = true,
        };
    }

    // At idle: nobody holds a craft that flies by itself.
    private static string Idle(LossSettings loss) =>
        loss.LowBefore is { } low
            ? $"Arm, the throttle low, and leave it so for {low.Words}. Then"
            : "Arm, the throttle low, and";

    private static string Does(Setup setup, LossTimes? times) =>
        setup.Air.OnLoss switch
        {
            ReceiverLoss.Silent when LossTimes.FliesAtIdle(setup.Board.Loss) =>
                $"The board {BoardGroups.Procedure(setup.Board.Loss)}: the motors turn up on the bench too, hold the craft. They stand within {Seconds(times!.Stops)}.",
            ReceiverLoss.Silent => $"Within {Seconds(times!.Stops)} the motors stand.",
            ReceiverLoss.Hold => "The motors go on as before: the board never learns of the loss.",
            ReceiverLoss.Preset => "The motors do what the presets say.",
        };

    // A position that runs the procedure on purpose is a test and a rescue.
    private static IEnumerable<Deed> Deliberate(Setup setup, IReadOnlyList<BasisPart> basis)
    {
        foreach (
            var (id, function) in setup
                .Board.Functions.Where(f => f.Value.Kind == FunctionKind.LossProcedure)
                .OrderBy(f => f.Key, StringComparer.Ordinal)
        )
            yield return new(
                $"on-purpose:{id}",
                $"{Idle(setup.Board.Loss)} switch “{function.Label}” on.",
                LossTimes.FliesAtIdle(setup.Board.Loss)
                    ? $"At once the board {BoardGroups.Procedure(setup.Board.Loss)}: the motors turn up on the bench too, hold the craft."
                    : "The motors stand at once, and none starts until the arm switch was off and on again.",
                [.. basis, .. EvidenceBasis.OfParts(setup, ($"/board/functions/{id}", function.Label))]
            );
    }

    // Rounded up to what an eye can tell.
    private static string Seconds(Milliseconds time) => $"{Figures.Plain(Math.Ceiling(time.Value / 100) / 10, 1)} s";
}
