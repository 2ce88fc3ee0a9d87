using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A condition that asks whether a reading has passed a level.</summary>
/// <param name="Id">The id of the condition.</param>
/// <param name="Condition">The condition.</param>
/// <param name="Test">The part of it that asks.</param>
/// <param name="Sensor">The sensor that it asks.</param>
internal sealed record LevelTest(string Id, Condition Condition, SensorTest Test, Sensor Sensor)
{
    /// <summary>Those that ask a voltage, by the condition's id.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="origin">Who measures the voltage.</param>
    public static IEnumerable<LevelTest> OfBattery(Setup setup, SensorOrigin origin) =>
        All(setup, Relation.Below)
            .Where(t => t.Sensor.Measures == SensorSubject.Voltage && t.Sensor.MeasuredBy == origin);

    /// <summary>Those that are announced and ask the link, either way, by the condition's id.</summary>
    public static IEnumerable<LevelTest> OfSignal(Setup setup) =>
        All(setup, Relation.Below)
            .Where(t =>
                t.Sensor.Measures
                    is SensorSubject.LinkQuality
                        or SensorSubject.Strength
                        or SensorSubject.DownLinkQuality
                && t.Spoken(setup).Any()
            );

    /// <summary>Those that ask whether the craft has gone too far, by the condition's id.</summary>
    public static IEnumerable<LevelTest> OfDistance(Setup setup) =>
        All(setup, Relation.Above).Where(t => t.Sensor.Measures == SensorSubject.Distance);

    /// <summary>The announcements that the condition sets off, as far as they are enabled.</summary>
    public IEnumerable<KeyValuePair<string, Announcement>> Spoken(Setup setup) =>
        setup
            .Model.Announcements.Where(a => a.Value.When == Id && a.Value.Enabled)
            .OrderBy(a => a.Key, StringComparer.Ordinal);

    /// <summary>The edit that asks something else instead.</summary>
    public SetupEdit Asking(Setup setup, string title, Test instead) =>
        ModelEdits.InModel(
            setup,
            title,
            m =>
                m with
                {
                    Conditions = m.Conditions.SetItem(
                        Id,
                        Condition with
                        {
                            Test = TestTrees.Replace(Condition.Test, Test, instead),
                        }
                    ),
                }
        );

    /// <summary>The edit that asks for another level.</summary>
    public SetupEdit At(Setup setup, Reading level) =>
        Asking(setup, $"“{Condition.Label}” below {Sensor.LimitWords(level)}", Test with { Limit = level });

    private static IEnumerable<LevelTest> All(Setup setup, Relation relation) =>
        from condition in setup.Model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal)
        from test in TestTrees.SensorTests(condition.Value.Test)
        where test.Relation == relation
        select new LevelTest(condition.Key, condition.Value, test, setup.Model.Sensors[test.Sensor]);
}
