using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Controls;

/// <summary>Derives what every control does in every position.</summary>
public static class ControlUses
{
    /// <summary>The uses of all controls, in the order of the controls.</summary>
    public static IReadOnlyList<ControlUse> Of(SignalPlan plan)
    {
        var references = ModelReferences.Of(plan.Setup.Model);
        return [.. plan.Model.Controls.Select(c => Use(plan, c.Key, c.Value, references))];
    }

    private static ControlUse Use(SignalPlan plan, string id, Control control, IReadOnlyList<ModelReference> references)
    {
        var channels = plan.ChannelsOf(id).ToArray();
        var asked = references
            .Where(r => r.Kind == ReferenceKind.Control && r.Id == id && r.Owner.Kind == NodeKind.Condition)
            .Select(r => r.Owner.Id)
            .Distinct(StringComparer.Ordinal);
        return new ControlUse(
            id,
            [.. channels.Select(c => c.Id)],
            [.. asked.Select(c => plan.Setup.Model.Conditions[c].Label)],
            [.. Positions(control).Select(p => Position(plan, id, p, channels))]
        );
    }

    private static IReadOnlyList<ControlPosition> Positions(Control control) =>
        control.NamedPositions.Count > 0
            ? control.NamedPositions
            : [new(-100, "low end"), new(0, "centre"), new(100, "high end")];

    private static PositionUse Position(
        SignalPlan plan,
        string id,
        ControlPosition position,
        IReadOnlyList<PlannedChannel> channels
    )
    {
        var values = plan.With(id, position.Setting);
        var carried = SignalPlan.CarriedChannels(plan.Setup);
        var arriving = channels.Where(c => c.Channel.Number.Value <= carried).ToArray();
        return new PositionUse(
            position.Setting,
            position.Name,
            [.. arriving.Select(c => new ChannelValue(c.Channel.Number, Received(values, c)))],
            [.. Functions(plan, values, arriving), .. Logic(plan, id, values)]
        );
    }

    private static Microseconds Received(SignalValues values, PlannedChannel channel) =>
        values.Received[channel.Channel.Number.Value - 1];

    private static IEnumerable<string> Functions(
        SignalPlan plan,
        SignalValues values,
        IReadOnlyList<PlannedChannel> channels
    ) =>
        from function in plan.Setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal)
        from channel in channels
        where channel.Channel.Number == function.Value.Channel && function.Value.Contains(Received(values, channel))
        select function.Value.Label;

    private static IEnumerable<string> Logic(SignalPlan plan, string controlId, SignalValues values)
    {
        var model = plan.Setup.Model;
        var control = new ModelNode(NodeKind.Control, controlId);
        var holding = plan
            .Model.Conditions.Where(c => plan.Model.Holds(values.Memory, c))
            .Where(c => plan.Model.Graph.Behind(new ModelNode(NodeKind.Condition, c)).Contains(control))
            .ToHashSet(StringComparer.Ordinal);
        foreach (var condition in holding.Order(StringComparer.Ordinal))
            yield return $"“{model.Conditions[condition].Label}” holds";
        for (var i = 0; i < plan.Model.Channels.Count; i++)
            if (
                plan.Model.HoldingOverride(model, values.Memory, i) is { } id
                && model.Overrides[id] is var forced
                && holding.Contains(forced.When)
            )
                yield return $"forces {plan.Model.Channels[i].Channel.Label} to {forced.Value}";

        if (
            plan.Model.Graph.Behind(ModelNode.ActiveState).Contains(control)
            && plan.Model.ActiveState(values.Memory) is { } state
        )
            yield return $"flight state {model.States[state].Label}";
    }
}
