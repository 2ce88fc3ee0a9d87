using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path.States;

/// <summary>What decides about the flight state of a model, and the places of each that can make a difference.</summary>
internal static class StateChoices
{
    /// <summary>The controls that decide, then the sensors, then telemetry itself.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="fine">True to put what has no positions to every tenth of its range too, for conditions that compare what a chain
    /// makes of it.</param>
    public static IReadOnlyList<StateDecider> Of(SignalPlan plan, bool fine)
    {
        var behind = plan.Model.Graph.Behind(ModelNode.ActiveState);
        var tests = plan
            .Setup.Model.Conditions.Where(c => behind.Contains(new ModelNode(NodeKind.Condition, c.Key)))
            .SelectMany(c => Flat(c.Value.Test))
            .ToArray();
        return
        [
            .. plan
                .Model.Controls.Select((c, i) => (c.Key, c.Value, i))
                .Where(c => behind.Contains(new ModelNode(NodeKind.Control, c.Key)))
                .Select(c => OfControl(tests, c.Key, c.Value, c.i, fine)),
            .. plan
                .Model.Sensors.Select((s, i) => (s.Key, s.Value, i))
                .Where(s => behind.Contains(new ModelNode(NodeKind.Sensor, s.Key)))
                .Select(s => OfSensor(tests, s.Key, s.Value, s.i, fine)),
            // Without telemetry no comparison of a reading holds; in the table that would double every row.
            .. tests.Any(t => t is TelemetryLostTest || (fine && t is SensorTest))
                ? [OfTelemetry(plan.Setup.Air.Telemetry)]
                : Array.Empty<StateDecider>(),
        ];
    }

    // The start position comes first, so that the simplest way to a state is the one that is shown.
    private static StateDecider OfControl(
        IReadOnlyList<Test> tests,
        string id,
        Control control,
        int index,
        bool fine
    ) =>
        new(
            [
                .. Settings(tests, id, control, fine)
                    .OrderBy(s => s.Setting != control.StartSetting)
                    .Select(s => new StateChoice(
                        $"{control.Name} {s.Name}",
                        v => v.Hands[index] = control.Read(s.Setting)!.Value
                    )),
            ],
            Presses(tests, id)
        );

    private static StateDecider OfSensor(IReadOnlyList<Test> tests, string id, Sensor sensor, int index, bool fine)
    {
        var limits = tests
            .OfType<SensorTest>()
            .Where(t => t.Sensor == id)
            .SelectMany(t => new[] { t.Limit.Value - 0.1, t.Limit.Value + 0.1 });
        var between = fine ? Tenths(sensor.Lowest.Value, sensor.Highest.Value) : [];
        return new(
            [
                .. limits
                    .Concat(between)
                    .Where(v => v >= sensor.Lowest.Value && v <= sensor.Highest.Value)
                    .Prepend(sensor.Bench.Value)
                    .Distinct()
                    .Select(v => new Reading(v))
                    .Select(r => new StateChoice($"{sensor.Label} {sensor.Words(r)}", v => v.Readings[index] = r)),
            ],
            []
        );
    }

    private static StateDecider OfTelemetry(bool arrives)
    {
        var lost = new StateChoice("telemetry lost", v => v.TelemetryLost = true);
        return new(arrives ? [new("telemetry arrives", v => v.TelemetryLost = false), lost] : [lost], []);
    }

    // The positions of a switch; the ends of other controls, and both sides of every limit that a condition sets for them.
    private static IEnumerable<(double Setting, string Name)> Settings(
        IReadOnlyList<Test> tests,
        string id,
        Control control,
        bool fine
    )
    {
        if (control.NamedPositions.Count > 0)
            return control.NamedPositions.Select(p => (p.Setting, p.Name));
        var limits = tests
            .OfType<CompareTest>()
            .Where(t => t.Value is ControlSource source && source.Control == id)
            .SelectMany(t => new[] { t.Limit.Value - 0.5, t.Limit.Value + 0.5 });
        return new[] { -100.0, 0, 100 }
            .Concat(limits)
            .Concat(fine ? Tenths(-100, 100) : [])
            .Where(v => v is >= -100 and <= 100)
            .Distinct()
            .Order()
            .Select(v => (v, new Percent(v).ToString()));
    }

    // One length within each stretch between two times that matter to a press of this button.
    private static IReadOnlyList<double> Presses(IReadOnlyList<Test> tests, string id)
    {
        double[] times =
        [
            .. tests
                .OfType<PressTest>()
                .Where(t => t.Control == id)
                .SelectMany(t => new[] { 0, t.AtLeast.Value, t.Before?.Value ?? 0 })
                .Distinct()
                .Order(),
        ];
        return [.. times.Zip(times.Skip(1), (from, to) => (from + to) / 2)];
    }

    private static IEnumerable<double> Tenths(double low, double high) =>
        Enumerable.Range(0, 11).Select(i => low + ((high - low) * i / 10));

    private static IEnumerable<Test> Flat(Test test) => test.Parts.SelectMany(Flat).Prepend(test);
}
