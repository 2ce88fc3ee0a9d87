using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board has no arm function: nothing can start the motors, and the plan is not finished.</summary>
public sealed class ArmFunctionMissing : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (plan.Setup.Board.Arm is not null)
            yield break;
        yield return new Finding
        {
            Key = "arm-function-missing",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/functions",
            Title = "Nothing arms this craft yet",
            What = "The board has no arm function.",
            Why = "The craft cannot fly, and nothing about its start can be judged before it is known what arms it.",
            Provenance = Provenance.Practice("arm with a switch, never with stick positions"),
            MayBeJustified = true,
            Fixes =
            [
                .. FreeSwitches
                    .Of(plan)
                    .Take(2)
                    .Select(free => new Fix(
                        free.Control,
                        $"{plan.Setup.Transmitter.Controls[free.Control].Name} arms in its far position, on channel {free.Channel.Value}.",
                        BoardEdits.ArmWith(
                            plan.Setup,
                            free.Control,
                            free.Channel.Aux!.Value,
                            Bands.FarEnd,
                            Bands.Highest
                        )
                    )),
            ],
        };
    }
}
