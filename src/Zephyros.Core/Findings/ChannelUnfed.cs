using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board reads a channel that nothing feeds, that does not arrive, or that another control works.</summary>
/// <remarks>For the arm function there are rules of its own.</remarks>
public sealed class ChannelUnfed : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var axis in StickAxes.All)
            if (plan.ChannelAt(plan.Setup.Board.Map.ChannelOf(axis)) is null)
                yield return Stick(plan.Setup, axis);
        foreach (var (id, function) in plan.Setup.Board.Functions.Where(f => f.Value.Kind != FunctionKind.Arm))
            if (Fault(plan, function) is { } fault)
                yield return Function(plan, id, function, fault);
    }

    private static string? Fault(SignalPlan plan, BoardFunction function)
    {
        var carried = SignalPlan.CarriedChannels(plan.Setup);
        if (function.Channel.Value > carried)
            return $"only channels 1 to {carried} arrive";
        if (function.Channel.Value == plan.QualityPlace + 1)
            return null;
        if (plan.ChannelAt(function.Channel) is not { } channel)
            return "nothing feeds it";
        return function.Control.Length == 0 || channel.DependsOn(function.Control)
            ? null
            : $"it carries {channel.Channel.Label}, which {plan.Setup.Transmitter.Controls[function.Control].Name} does not change";
    }

    private static Finding Function(SignalPlan plan, string id, BoardFunction function, string fault)
    {
        var control = Meant(plan.Setup, function);
        return new Finding
        {
            Key = $"channel-unfed:{id}",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = $"/board/functions/{id}/aux",
            Title = $"{control} does not reach {function.Label}",
            What = $"The board watches {function.Channel}; {fault}.",
            Why = "The function never comes, or another control works it.",
            Provenance = Provenance.Practice("AUX n is channel n + 4"),
            MayBeJustified = false,
            Fixes = [.. Fixes(plan, id, function)],
        };
    }

    private static IEnumerable<Fix> Fixes(SignalPlan plan, string id, BoardFunction function)
    {
        if (function.Control.Length == 0)
            yield break;
        var setup = plan.Setup;
        var carried = SignalPlan.CarriedChannels(setup);
        var control = Meant(setup, function);
        var sent = plan.ChannelsOf(function.Control)
            .Select(c => c.Channel.Number)
            .FirstOrDefault(n => n.Aux is not null && n.Value <= carried);
        if (sent.Aux is { } aux)
            yield return new Fix(
                "watch",
                $"The board watches the channel that {control} is sent on.",
                BoardEdits.WatchAux(setup, id, aux)
            );
        if (function.Channel.Value <= carried && plan.ChannelAt(function.Channel) is null)
            yield return new Fix(
                "feed",
                $"The transmitter sends {control} on {function.Channel}.",
                ModelEdits.Feed(setup, function.Channel, function.Control)
            );
    }

    private static string Meant(Setup setup, BoardFunction function) =>
        function.Control.Length > 0 ? setup.Transmitter.Controls[function.Control].Name : "No channel";

    private static Finding Stick(Setup setup, StickAxis axis)
    {
        var number = setup.Board.Map.ChannelOf(axis);
        return new Finding
        {
            Key = $"channel-unfed:{axis.Word()}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = "/model/channels",
            Title = $"Nothing feeds {axis.Word()}",
            What = $"The board reads {axis.Word()} from {number}, and no channel of the model has that number.",
            Why = "The transmitter sends the centre there: a throttle at half, or an axis that nobody steers.",
            Provenance = Provenance.Practice(),
            MayBeJustified = false,
            Fixes = setup.Transmitter.StickOf(axis) is { } stick
                ?
                [
                    new Fix(
                        "feed",
                        $"The transmitter sends the {axis.Word()} stick on {number}.",
                        ModelEdits.Feed(setup, number, stick)
                    ),
                ]
                : [],
        };
    }
}
