using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Conditions, flight states or chains of channels depend on each other in a ring.</summary>
public sealed class DependencyCycle : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var ring in plan.Model.Graph.Cycles)
        {
            var names = ring.Select(n => Name(plan.Setup.Model, n)).ToArray();
            yield return new Finding
            {
                Key = $"dependency-cycle:{ring[0].Kind.ToString().ToLowerInvariant()}:{ring[0].Id}".TrimEnd(':'),
                Severity = Severity.Danger,
                Station = Station.Model,
                Place = Place(ring[0]),
                Title =
                    names.Length == 1
                        ? $"{names[0]} asks for itself"
                        : $"{names.Length} things ask for each other in a ring",
                What = string.Join(" → ", names.Append(names[0])),
                Why =
                    "What comes out depends on what came out before, and on the order in which a transmitter works it out. Use a latch where a memory is meant.",
                Provenance = Provenance.Computed("a definition in terms of itself has no value of its own"),
                MayBeJustified = false,
                Fixes = [],
            };
        }
    }

    private static string Name(TransmitterModel model, ModelNode node) =>
        node.Kind switch
        {
            NodeKind.Condition => $"“{model.Conditions[node.Id].Label}”",
            NodeKind.State => "the flight state",
            NodeKind.Chain or NodeKind.Sent => $"channel {model.Channels[node.Id].Label}",
            NodeKind.Control or NodeKind.Sensor or NodeKind.Announcement or NodeKind.Timer =>
                throw new ArgumentOutOfRangeException(nameof(node)),
        };

    private static string Place(ModelNode node) =>
        node.Kind switch
        {
            NodeKind.Condition => $"/model/conditions/{node.Id}",
            NodeKind.State => "/model/states",
            NodeKind.Chain or NodeKind.Sent => $"/model/channels/{node.Id}",
            NodeKind.Control or NodeKind.Sensor or NodeKind.Announcement or NodeKind.Timer =>
                throw new ArgumentOutOfRangeException(nameof(node)),
        };
}
