using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
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
            Fixes = [.. Fixes(plan)],
        };
    }

    // A switch of two positions that is free, starting safe, on the first AUX channel that is free and arrives.
    private static IEnumerable<Fix> Fixes(SignalPlan plan)
    {
        var setup = plan.Setup;
        var taken = setup
            .Model.Channels.Values.Select(c => c.Number.Value)
            .Concat(setup.Board.Functions.Values.Select(f => f.Channel.Value))
            .ToHashSet();
        var number = Enumerable
            .Range(5, Math.Max(0, SignalPlan.CarriedChannels(setup) - 4))
            .FirstOrDefault(n => !taken.Contains(n));
        if (number == 0)
            yield break;
        var free = plan
            .Uses.Where(u =>
                u.Free && setup.Transmitter.Controls[u.Control] is SwitchControl { Positions: 2, Safe: 1, Start: 1 }
            )
            .Select(u => u.Control);
        foreach (var control in free.Take(2))
            yield return new Fix(
                control,
                $"{setup.Transmitter.Controls[control].Name} arms in its far position, on channel {number}.",
                BoardEdits.ArmWith(setup, control, new ChannelNumber(number).Aux!.Value, Bands.FarEnd, Bands.Highest)
            );
    }
}
