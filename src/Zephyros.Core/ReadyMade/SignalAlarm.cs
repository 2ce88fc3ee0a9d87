using Zephyros.Core.Air;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Two spoken warnings of a signal that grows weak: the first, and the critical one.</summary>
public sealed class SignalAlarm : IReadyMade
{
    [Figure(Station.Return, "A weak signal must hold before it is spoken for", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds UsualWait = new(500);

    private const string SensorLabel = "Link quality";

    /// <inheritdoc />
    public string Id => "signal-alarm";

    /// <inheritdoc />
    public string Title => "Signal alarm";

    /// <inheritdoc />
    public string Purpose =>
        "Speaks when the signal is weak, and again when it is critical. The first must come early enough to turn round: see Air for the "
        + "distance at which each comes.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var sensors = SensorOptions.OrNew(
            setup,
            SensorLabel,
            s => s.Measures is SensorSubject.LinkQuality or SensorSubject.Strength || s.Unit is "%" or "dBm"
        );
        var first = SensorOptions.First(sensors);
        var (warn, urgent) = Levels(setup, first);
        return
        [
            new("sensor", "Signal", ParameterKind.Choice, first) { Options = sensors },
            Level("first", "Weak below", warn),
            Level("critical", "Critical below", urgent),
            new("wait", "For at least", ParameterKind.Number, Figures.Plain(UsualWait.Value / 1000))
            {
                Unit = "s",
                Minimum = 0,
                Maximum = 60,
            },
            new("every", "Said again every", ParameterKind.Number, Figures.Plain(BatteryAlarm.UsualRepeat.Value / 1000))
            {
                Unit = "s",
                Minimum = 1,
                Maximum = 120,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var sensor = wanted.Option("sensor");
        var (first, critical) = (wanted.Number("first"), wanted.Number("critical"));
        var (wait, every) = (wanted.Number("wait"), wanted.Number("every"));
        if (wanted.Problems.Count == 0 && critical >= first)
            wanted.Refuse("critical", "The critical level must lie below the first: the signal grows weaker.");
        if (wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        if (sensor == SensorOptions.New)
            sensor = work.Sensor(SensorLabel, SensorSubject.LinkQuality, 100);
        Test Below(double limit)
        {
            Test low = new SensorTest
            {
                Sensor = sensor,
                Relation = Relation.Below,
                Limit = new Reading(limit),
            };
            return wait > 0 ? new DelayTest { Of = [low], OnAfter = new(wait * 1000) } : low;
        }

        // Only one of them speaks at a time.
        var urgent = work.Condition("Signal critical", Below(critical));
        var weak = work.Condition(
            "Signal weak",
            new AllTest { Of = [Below(first), new NotTest { Of = [new HoldsTest { Condition = urgent }] }] }
        );
        work.Announce("Signal weak", weak, new Milliseconds(every * 1000), null);
        work.Announce("Signal critical", urgent, new Milliseconds(every * 1000), null);
        return new Built(work.Setup, [SensorOptions.Age(work.Setup, sensor)]);
    }

    // Quality as the link has its warnings; strength where by our model such a quality is left.
    private static (double First, double Critical) Levels(Setup setup, string sensor)
    {
        var (first, urgent) = (setup.Air.WarnBelow, setup.Air.UrgentBelow);
        if (!setup.Model.Sensors.TryGetValue(sensor, out var known) || known.Unit != "dBm")
            return (first.Value, urgent.Value);
        var sensitivity = LinkBudget.SensitivityOf(setup.Air).Value;
        return (At(first), At(urgent));

        double At(Percent quality) => Math.Ceiling(sensitivity + LinkBudget.MarginAt(quality).Value);
    }

    private static Parameter Level(string name, string label, double value) =>
        new(name, label, ParameterKind.Number, Figures.Plain(value)) { Minimum = -140, Maximum = 100 };
}
