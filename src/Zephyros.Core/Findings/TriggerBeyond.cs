using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The craft is called home by its distance only where the signal has warned already, or farther than the battery brings it home
/// from: a typing slip of four times passes the sensor's own range.</summary>
public sealed class TriggerBeyond : IFindingRule
{
    // A fix is set to whole tens of metres.
    private const double Step = 10;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var homeward = Homeward(plan);
        foreach (var far in LevelTest.OfDistance(setup))
        {
            if (!homeward.Contains(new ModelNode(NodeKind.Condition, far.Id)))
                continue;
            var (sensor, limit) = (far.Sensor, far.Test.Limit);
            var trigger = new Metres(limit.Value / SensorSubject.Distance.UnitsPer(sensor.Unit));
            var (bound, words) = Bounds(setup).MinBy(b => b.At.Value);
            if (trigger <= bound)
                continue;
            yield return new Finding
            {
                Key = $"trigger-beyond:{far.Id}",
                Severity = Severity.Caution,
                Station = Station.Model,
                Place = $"/model/conditions/{far.Id}/test",
                Title = $"“{far.Condition.Label}” calls the craft home too late",
                What = $"It does so beyond {sensor.LimitWords(limit)}; {words}.",
                Why =
                    "Where the signal is lost, or the battery alarm comes, the craft has not been called home yet. The distance counts from where home was set.",
                Provenance = Provenance.Practice(
                    "a distance trigger lies below the warning distance of the signal and inside the battery\u2019s radius"
                ),
                MayBeJustified = true,
                Fixes = [.. Fixes(setup, far, bound)],
            };
        }
    }

    // What is behind a channel on which the board flies home, or does what it does on a loss.
    private static HashSet<ModelNode> Homeward(SignalPlan plan) =>
        [
            .. from function in plan.Setup.Board.Functions.Values
            where function.Kind is FunctionKind.ReturnHome or FunctionKind.LossProcedure
            let channel = plan.ChannelAt(function.Channel)
            where channel is not null
            from node in plan.Model.Graph.Behind(new ModelNode(NodeKind.Sent, channel.Id))
            select node,
        ];

    private static IEnumerable<(Metres At, string Words)> Bounds(Setup setup)
    {
        var warns = LinkBudget.PracticalReach(setup.Air, LinkBudget.MarginAt(setup.Air.WarnBelow)).Value * 1000;
        yield return (new(warns), $"the link warns at some {Figures.Plain(Math.Round(warns / Step) * Step)} m");
        if (setup.Craft.WayHome is { } way)
            yield return (way.Distance, $"the battery\u2019s alarm leaves time for a way home of {way.Distance}");
    }

    private static IEnumerable<Fix> Fixes(Setup setup, LevelTest far, Metres bound)
    {
        var metres = Math.Floor(bound.Value / Step) * Step;
        var limit = new Reading(
            far.Sensor.Kept(new Reading(metres * SensorSubject.Distance.UnitsPer(far.Sensor.Unit))).Value
        );
        if (metres <= 0 || limit.Value >= far.Test.Limit.Value)
            yield break;
        var words = far.Sensor.LimitWords(limit);
        yield return new Fix(
            "nearer",
            $"Calls it home beyond {words}.",
            far.Asking(setup, $"“{far.Condition.Label}” above {words}", far.Test with { Limit = limit })
        );
    }
}
