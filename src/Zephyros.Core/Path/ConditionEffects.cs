using Zephyros.Core.Model;

namespace Zephyros.Core.Path;

/// <summary>What a condition does while it holds.</summary>
public static class ConditionEffects
{
    /// <summary>The channels that it forces, by itself or through conditions that ask for it, in words.</summary>
    public static IEnumerable<string> Forced(TransmitterModel model, ModelGraph graph, string condition)
    {
        var node = new ModelNode(NodeKind.Condition, condition);
        return model
            .Overrides.Where(o =>
                o.Value.Enabled && graph.Behind(new ModelNode(NodeKind.Condition, o.Value.When)).Contains(node)
            )
            .OrderBy(o => o.Key, StringComparer.Ordinal)
            .Select(o => $"{o.Value.Label} forces {model.Channels[o.Value.Channel].Label} to {o.Value.Value}");
    }

    /// <summary>What it lets the transmitter say, in words.</summary>
    public static IEnumerable<string> Said(TransmitterModel model, string condition) =>
        model
            .Announcements.Where(a => a.Value.When == condition && a.Value.Enabled)
            .OrderBy(a => a.Key, StringComparer.Ordinal)
            .Select(a => $"“{a.Value.Says}” is said");
}
