using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Flights;

/// <summary>What of a setup decides what is spoken and which alarms hold: the rest of its model is left out, and so costs nothing.</summary>
internal static class ReplaySetup
{
    /// <summary>The setup with the part of its model that decides some conditions, and what is spoken by them.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="conditions">The ids of the conditions.</param>
    public static Setup Of(Setup setup, IEnumerable<string> conditions)
    {
        var model = setup.Model;
        var graph = ModelGraph.Of(model);
        var behind = conditions.SelectMany(id => graph.Behind(new ModelNode(NodeKind.Condition, id))).ToHashSet();
        bool Needed(NodeKind kind, string id) => behind.Contains(new ModelNode(kind, id));
        return setup with
        {
            Model = model with
            {
                Channels = model.Channels.RemoveRange(model.Channels.Keys.Where(id => !Needed(NodeKind.Chain, id))),
                Conditions = model.Conditions.RemoveRange(
                    model.Conditions.Keys.Where(id => !Needed(NodeKind.Condition, id))
                ),
                Overrides = model.Overrides.Clear(),
                Timers = model.Timers.Clear(),
                States = behind.Contains(ModelNode.ActiveState) ? model.States : model.States.Clear(),
                Announcements = model.Announcements.RemoveRange(
                    model
                        .Announcements.Where(a => a.Value.When is { } when && !Needed(NodeKind.Condition, when))
                        .Select(a => a.Key)
                ),
            },
        };
    }
}
