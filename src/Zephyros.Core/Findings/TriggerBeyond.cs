using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The craft is called home by its distance only where the signal has warned already, farther than the battery brings it home
/// from, or out of sight: a typing slip of four times passes the sensor's own range.</summary>
public sealed class TriggerBeyond : IFindingRule
{
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
            var (bound, words) = CallHome.Bound(setup);
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
                    "Where the signal is lost, the battery alarm comes, or nobody sees it any more, the craft has not been called home yet. The distance counts from where home was set.",
                Provenance = Provenance.Practice(
                    "a distance trigger lies below the warning distance of the signal, inside sight and inside the battery\u2019s radius"
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

    private static IEnumerable<Fix> Fixes(Setup setup, LevelTest far, Metres bound)
    {
        var metres = CallHome.Within(bound).Value;
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
