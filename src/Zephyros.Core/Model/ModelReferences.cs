using Zephyros.Core.Model.Logic;

namespace Zephyros.Core.Model;

/// <summary>Lists everything in a model that names something else. Validation, evaluation order and findings all read this one list.</summary>
public static class ModelReferences
{
    /// <summary>All references of a model, in the order of the document's members and then of ids.</summary>
    public static IReadOnlyList<ModelReference> Of(TransmitterModel model) =>
        [
            .. Channels(model),
            .. Trims(model),
            .. Conditions(model),
            .. Overrides(model),
            .. States(model),
            .. Announcements(model),
            .. Timers(model),
        ];

    /// <summary>The references inside one test.</summary>
    /// <param name="test">The test.</param>
    /// <param name="place">Where it stands, as a JSON Pointer.</param>
    /// <param name="owner">What it belongs to.</param>
    public static IEnumerable<ModelReference> Of(Test test, string place, ModelNode owner)
    {
        var own = test switch
        {
            PositionTest position => new ModelReference(
                $"{place}/control",
                ReferenceKind.Control,
                position.Control,
                owner,
                false
            ),
            PressTest press => new($"{place}/control", ReferenceKind.Control, press.Control, owner, false),
            SensorTest sensor => new($"{place}/sensor", ReferenceKind.Sensor, sensor.Sensor, owner, false),
            HoldsTest holds => new($"{place}/condition", ReferenceKind.Condition, holds.Condition, owner, false),
            StateTest state => new($"{place}/state", ReferenceKind.State, state.State, owner, false),
            CompareTest compare => Source(compare.Value, $"{place}/value", owner, carries: false),
            _ => null,
        };
        if (own is not null)
            return [own];
        return from parts in test.Groups
            from part in parts.Parts.Select((inner, i) => Of(inner, $"{place}/{parts.Member}/{i}", owner))
            from reference in part
            select reference;
    }

    private static IEnumerable<ModelReference> Channels(TransmitterModel model)
    {
        foreach (var (id, channel) in model.Channels.OrderBy(c => c.Key, StringComparer.Ordinal))
        {
            var place = $"/model/channels/{id}";
            var chain = new ModelNode(NodeKind.Chain, id);
            if (Source(channel.Take, $"{place}/take", chain, carries: true) is { } source)
                yield return source;
            foreach (var (stepId, step) in channel.OrderedSteps)
            {
                var at = $"{place}/steps/{stepId}";
                if (step.When is { } when)
                    yield return new($"{at}/when", ReferenceKind.Condition, when, chain, false);
                var operand = step switch
                {
                    AddStep { With: var with } => with,
                    MultiplyStep { With: var with } => with,
                    SwitchOverStep { With: var with } => with,
                    _ => null,
                };
                if (operand is not null && Source(operand.Take, $"{at}/with/take", chain, true) is { } second)
                    yield return second;
                if (step is StateStep states)
                    foreach (var state in states.Values.Keys.Order(StringComparer.Ordinal))
                        yield return new($"{at}/values/{state}", ReferenceKind.State, state, chain, true);
            }
        }
    }

    private static IEnumerable<ModelReference> Trims(TransmitterModel model) =>
        model
            .Trims.Keys.Order(StringComparer.Ordinal)
            .Select(id => new ModelReference(
                $"/model/trims/{id}",
                ReferenceKind.Control,
                id,
                new ModelNode(NodeKind.Control, id),
                false
            ));

    private static IEnumerable<ModelReference> Conditions(TransmitterModel model) =>
        model
            .Conditions.OrderBy(c => c.Key, StringComparer.Ordinal)
            .SelectMany(c =>
                Of(c.Value.Test, $"/model/conditions/{c.Key}/test", new ModelNode(NodeKind.Condition, c.Key))
            );

    private static IEnumerable<ModelReference> Overrides(TransmitterModel model)
    {
        foreach (var (id, forced) in model.Overrides.OrderBy(o => o.Key, StringComparer.Ordinal))
        {
            var sent = new ModelNode(NodeKind.Sent, forced.Channel);
            yield return new($"/model/overrides/{id}/channel", ReferenceKind.Channel, forced.Channel, sent, true);
            yield return new($"/model/overrides/{id}/when", ReferenceKind.Condition, forced.When, sent, false);
        }
    }

    private static IEnumerable<ModelReference> States(TransmitterModel model) =>
        model
            .States.Where(s => s.Value.When is not null)
            .OrderBy(s => s.Key, StringComparer.Ordinal)
            .Select(s => new ModelReference(
                $"/model/states/{s.Key}/when",
                ReferenceKind.Condition,
                s.Value.When!,
                ModelNode.ActiveState,
                false
            ));

    private static IEnumerable<ModelReference> Announcements(TransmitterModel model)
    {
        foreach (var (id, announcement) in model.Announcements.OrderBy(a => a.Key, StringComparer.Ordinal))
        {
            var owner = new ModelNode(NodeKind.Announcement, id);
            var place = $"/model/announcements/{id}";
            if (announcement.When is { } when)
                yield return new($"{place}/when", ReferenceKind.Condition, when, owner, false);
            if (announcement.Value is { } value)
                yield return new($"{place}/value/sensor", ReferenceKind.Sensor, value.Sensor, owner, false);
            if (announcement.Timer is { } timer)
                yield return new($"{place}/timer", ReferenceKind.Timer, timer, owner, false);
        }
    }

    private static IEnumerable<ModelReference> Timers(TransmitterModel model)
    {
        foreach (var (id, timer) in model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal))
        {
            var owner = new ModelNode(NodeKind.Timer, id);
            var place = $"/model/timers/{id}";
            if (timer.While is { } condition)
                yield return new($"{place}/while", ReferenceKind.Condition, condition, owner, false);
            if (timer.Weight is { } control)
                yield return new($"{place}/weight", ReferenceKind.Control, control, owner, false);
            if (timer.Reset is { } reset)
                yield return new($"{place}/reset/when", ReferenceKind.Condition, reset.When, owner, false);
        }
    }

    private static ModelReference? Source(Source source, string place, ModelNode owner, bool carries) =>
        source switch
        {
            ControlSource control => new($"{place}/control", ReferenceKind.Control, control.Control, owner, carries),
            ChannelSource channel => new($"{place}/channel", ReferenceKind.Channel, channel.Channel, owner, carries),
            ConditionSource condition => new(
                $"{place}/condition",
                ReferenceKind.Condition,
                condition.Condition,
                owner,
                carries
            ),
            SensorSource sensor => new($"{place}/sensor", ReferenceKind.Sensor, sensor.Sensor, owner, carries),
            _ => null,
        };
}
