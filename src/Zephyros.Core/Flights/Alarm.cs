using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>A condition that warns of a reading that falls: its level, how long that must hold, and from where on it is over.</summary>
/// <param name="Id">The id of the condition.</param>
/// <param name="Condition">The condition.</param>
/// <param name="Level">The part of it that asks whether the reading is below the level.</param>
/// <param name="SensorId">The id of the sensor.</param>
/// <param name="Sensor">The sensor.</param>
/// <param name="Kind">What it warns of.</param>
public sealed record Alarm(
    string Id,
    Condition Condition,
    SensorTest Level,
    string SensorId,
    Sensor Sensor,
    AlarmKind Kind
)
{
    // Levels are told to a hundredth.
    private const int Decimals = 2;

    /// <summary>How long the reading must be below the level; zero when it need not.</summary>
    public Milliseconds Wait => Delay?.OnAfter ?? default;

    /// <summary>Above this reading it is over, where that is not the level itself; null otherwise.</summary>
    public Reading? Over => OverOf(Condition, Level);

    /// <summary>Above which reading a condition is over whose level is asked by a test: it is set back together with the level.</summary>
    public static Reading? OverOf(Condition condition, SensorTest level) =>
        TestTrees
            .SensorTests(condition.Test)
            .Where(t => IsOver(t, level))
            .Select(t => (Reading?)t.Limit)
            .FirstOrDefault();

    /// <summary>True when it warns of the battery, false when it warns of the link.</summary>
    public bool OfBattery => Kind == AlarmKind.Battery;

    private DelayTest? Delay => TestTrees.WayTo(Condition.Test, Level).OfType<DelayTest>().LastOrDefault();

    /// <summary>The alarms of a setup by their condition's id: conditions that are spoken, or force a channel, and ask whether voltage,
    /// quality or strength has fallen below a level. The highest level of a condition counts.</summary>
    public static IReadOnlyList<Alarm> Of(Setup setup)
    {
        var model = setup.Model;
        var used = model
            .Announcements.Values.Where(a => a.Enabled)
            .Select(a => a.When)
            .Concat(model.Overrides.Values.Where(o => o.Enabled).Select(o => o.When))
            .OfType<string>()
            .ToHashSet(StringComparer.Ordinal);
        return
        [
            .. model
                .Conditions.Where(c => used.Contains(c.Key))
                .OrderBy(c => c.Key, StringComparer.Ordinal)
                .Select(c => Of(model, c.Key, c.Value))
                .OfType<Alarm>(),
        ];
    }

    /// <summary>The setup in which the alarm has another level, and another time for which that must hold. Where it is over moves along.</summary>
    public Setup With(Setup setup, Reading level, Milliseconds wait) =>
        setup with
        {
            Model = setup.Model with
            {
                Conditions = setup.Model.Conditions.SetItem(Id, Condition with { Test = Moved(level, wait) }),
            },
        };

    /// <summary>The edit that does so.</summary>
    public SetupEdit At(Setup setup, Reading level, Milliseconds wait) =>
        SetupEdit.Between(
            $"“{Condition.Label}” below {Sensor.LimitWords(level)} for {wait.Words}",
            setup,
            With(setup, level, wait)
        );

    private static Alarm? Of(TransmitterModel model, string id, Condition condition) =>
        (
            from test in TestTrees.SensorTests(condition.Test)
            where test.Relation == Relation.Below
            let sensor = model.Sensors[test.Sensor]
            let kind = AlarmKinds.Of(sensor)
            where kind is not null
            orderby test.Limit.Value descending
            select new Alarm(id, condition, test, test.Sensor, sensor, kind.Value)
        ).FirstOrDefault();

    private Test Moved(Reading level, Milliseconds wait)
    {
        var by = level.Value - Level.Limit.Value;
        var delay = Delay;
        var moved = TestTrees.Rebuild(
            Condition.Test,
            (was, now) =>
                ReferenceEquals(was, Level) ? Level with { Limit = level }
                : ReferenceEquals(was, delay) ? (DelayTest)now with { OnAfter = wait }
                : was is SensorTest over && IsOver(over, Level)
                    ? over with
                    {
                        Limit = new Reading(Math.Round(over.Limit.Value + by, Decimals)),
                    }
                : now
        );
        return delay is not null || wait.Value <= 0 ? moved : Waiting(moved, wait);
    }

    // From where on the alarm is over: the same sensor above a limit that is not below the level.
    private static bool IsOver(SensorTest test, SensorTest level) =>
        test.Sensor == level.Sensor && test.Relation == Relation.Above && test.Limit >= level.Limit;

    // A latch waits before it goes on; it is over at once.
    private static Test Waiting(Test test, Milliseconds wait) =>
        test is LatchTest latch
            ? latch with
            {
                Set = [new DelayTest { Of = latch.Set, OnAfter = wait }],
            }
            : new DelayTest { Of = [test], OnAfter = wait };
}
