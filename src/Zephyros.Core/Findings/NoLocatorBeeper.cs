using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Nothing makes the craft beep on purpose: after a loss it is looked for in silence.</summary>
public sealed class NoLocatorBeeper : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var board = plan.Setup.Board;
        // Whoever reckons with a loss is asked; a craft that is still being planned has other worries.
        if (
            board.Arm is null
            || plan.Setup.Craft.AtLoss is null
            || board.Functions.Values.Any(f => f.Kind == FunctionKind.Beeper)
        )
            yield break;
        // A board that never knows of the loss does nothing by itself.
        var (silent, beeper) = (plan.Setup.Air.OnLoss == ReceiverLoss.Silent, board.Loss.Beeper);
        if (silent && beeper == LossBeeper.WhenDown)
            yield break;
        yield return new Finding
        {
            Key = "no-locator-beeper",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/functions",
            Title = "No switch makes the craft beep",
            What =
                beeper == LossBeeper.None
                    ? "None of the board\u2019s functions is the locator beeper, nor does it beep by itself."
                : silent
                    ? "None of the board\u2019s functions is the locator beeper; by itself it beeps only until frames are back."
                : "None of the board\u2019s functions is the locator beeper, and behind this receiver it never knows that the signal is lost.",
            Why = "A craft that came down after a loss is looked for by ear, and the link is often back by then.",
            Provenance = Provenance.Practice("a locator beeper on a switch"),
            MayBeJustified = true,
            Fixes =
            [
                .. FreeSwitches
                    .Of(plan)
                    .Take(1)
                    .Select(free => new Fix(
                        free.Control,
                        $"{plan.Setup.Transmitter.Controls[free.Control].Name} makes it beep in its far position, on channel {free.Channel.Value}.",
                        BoardEdits.BeepWith(plan.Setup, free.Control, free.Channel.Aux!.Value)
                    )),
            ],
        };
    }
}
