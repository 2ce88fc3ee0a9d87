using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Findings;

/// <summary>A condition that is announced and asks whether the link has fallen below a level.</summary>
/// <param name="Id">The id of the condition.</param>
/// <param name="Condition">The condition.</param>
/// <param name="Test">The part of it that asks.</param>
/// <param name="Sensor">The sensor that it asks.</param>
internal sealed record SignalTest(string Id, Condition Condition, SensorTest Test, Sensor Sensor)
{
    /// <summary>All of a setup, by the condition's id.</summary>
    public static IEnumerable<SignalTest> Of(Setup setup) =>
        from condition in setup.Model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal)
        where setup.Model.Announcements.Values.Any(a => a.Enabled && a.When == condition.Key)
        from test in TestTrees.SensorTests(condition.Value.Test)
        let sensor = setup.Model.Sensors[test.Sensor]
        where
            test.Relation == Relation.Below
            && sensor.Measures is SensorSubject.LinkQuality or SensorSubject.Strength or SensorSubject.DownLinkQuality
        select new SignalTest(condition.Key, condition.Value, test, sensor);
}
