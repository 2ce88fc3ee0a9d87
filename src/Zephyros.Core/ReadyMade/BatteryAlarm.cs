using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>Speaks while the flight battery is low, and not for a burst of throttle.</summary>
/// <remarks>Common practice, no source: a level for each cell, a mask against the 0 V of power-up, said again while it holds. On-delay and
/// release band against alarms that chatter: alarm management practice (ISA-18.2, IEC 62682), from memory.</remarks>
public sealed class BatteryAlarm : IReadyMade
{
    [Figure(
        Station.Return,
        "A low battery must hold before it is spoken for",
        ProvenanceKind.OwnAssumption,
        Note = "a burst of throttle is over by then"
    )]
    private static readonly Milliseconds UsualWait = new(2000);

    [Figure(
        Station.Return,
        "An alarm that spoke is over so far above its level, for each cell",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Volts UsualRelease = new(0.1);

    [Figure(Station.Return, "An alarm is said again every", ProvenanceKind.CommonPractice)]
    internal static readonly Milliseconds UsualRepeat = new(2000);

    private const string Value = "value";
    private const string SensorLabel = "Flight battery";
    private const double LevelStep = 0.05;

    /// <inheritdoc />
    public string Id => "battery-alarm";

    /// <inheritdoc />
    public string Title => "Battery alarm";

    /// <inheritdoc />
    public string Purpose =>
        "Speaks while the pack is below a level for each cell. It waits out bursts of throttle, takes no notice of the 0 V of power-up, and "
        + "goes on until the pack is well above the level again. Lost telemetry ends it: that is an alarm of its own.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var sensors = SensorOptions.OrNew(setup, SensorLabel, s => s.Unit == "V");
        var chemistry = setup.Craft.Chemistry;
        return
        [
            new("sensor", "Voltage", ParameterKind.Choice, SensorOptions.First(sensors)) { Options = sensors },
            new("level", "Low below, for each cell", ParameterKind.Number, Text(Level(setup.Craft)))
            {
                Unit = "V",
                Minimum = CellVoltages.Mask.Value,
                Maximum = CellVoltages.Full(chemistry).Value,
            },
            new("wait", "For at least", ParameterKind.Number, Text(UsualWait.Value / 1000))
            {
                Unit = "s",
                Minimum = 0,
                Maximum = 60,
            },
            new("release", "Over so far above it, for each cell", ParameterKind.Number, Text(UsualRelease.Value))
            {
                Unit = "V",
                Minimum = 0,
                Maximum = 1,
            },
            new("every", "Said again every", ParameterKind.Number, Text(UsualRepeat.Value / 1000))
            {
                Unit = "s",
                Minimum = 1,
                Maximum = 120,
            },
            new("speaks", "It says", ParameterKind.Choice, Value)
            {
                Options = [new(Value, "“Battery” and the voltage"), new("words", "“Battery low”")],
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (sensor, speaks) = (wanted.Option("sensor"), wanted.Option("speaks"));
        var (level, wait, release, every) = (
            wanted.Number("level"),
            wanted.Number("wait"),
            wanted.Number("release"),
            wanted.Number("every")
        );
        if (wanted.Problems.Count > 0)
            return null;
        var cells = setup.Craft.Cells;
        var (limit, mask, over) = (Pack(level), Pack(CellVoltages.Mask.Value), Pack(level + release));
        var work = new Workshop(setup);
        if (sensor == SensorOptions.New)
            sensor = work.Sensor(
                SensorLabel,
                SensorSubject.Voltage,
                Math.Ceiling(cells * CellVoltages.Full(setup.Craft.Chemistry).Value)
            );
        Test low = new AllTest { Of = [Reads(sensor, Relation.Above, mask), Reads(sensor, Relation.Below, limit)] };
        Test latched = new LatchTest
        {
            Set = wait > 0 ? [new DelayTest { Of = [low], OnAfter = new(wait * 1000) }] : [low],
            Clear = [Reads(sensor, Relation.Above, over), new TelemetryLostTest()],
        };
        var condition = work.Condition("Battery low", latched);
        work.Announce(
            speaks == Value ? "Battery" : "Battery low",
            condition,
            new Milliseconds(every * 1000),
            speaks == Value ? new SpokenValue { Sensor = sensor } : null
        );
        return new Built(
            work.Setup,
            [
                $"Low below {limit} V: {cells} × {Figures.Plain(level)} V. Over above {over} V.",
                $"Below {mask} V ({cells} × {Figures.Plain(CellVoltages.Mask.Value)} V) it is no reading of a battery.",
                SensorOptions.Age(work.Setup, sensor),
                .. LeadFacts(setup.Craft, limit),
            ]
        );

        Reading Pack(double cell) => new(Math.Round(cells * cell, 2, MidpointRounding.AwayFromZero));
    }

    // What the trade lands at, or more where the way home needs it.
    private static double Level(CraftDescription craft)
    {
        var land = CellVoltages.Land(craft.Chemistry).Value;
        if (NeededLead.Of(craft) is not { Share.Value: < 100 } lead)
            return land;
        var needed = Math.Round(Math.Ceiling(lead.Voltage.Value / craft.Cells / LevelStep) * LevelStep, 2);
        return Math.Clamp(needed, land, CellVoltages.Full(craft.Chemistry).Value);
    }

    private static IEnumerable<string> LeadFacts(CraftDescription craft, Reading limit)
    {
        if (NeededLead.Of(craft) is not { } lead || BatteryModel.Of(craft) is not { } model)
            yield break;
        var left = NeededLead.LeftAt(model, new Volts(limit.Value), craft.WayHome!.Current);
        yield return $"The way home takes {Figures.Plain(lead.Time.TotalSeconds, 0)} s and {Figures.Plain(lead.Charge.Value, 0)} mAh, "
            + $"{Figures.Plain(lead.Share.Value, 0)} % of the battery. At the level {Figures.Plain(100 * left, 0)} % are left by our model"
            + (100 * left < lead.Share.Value ? ": too late." : ".");
    }

    private static SensorTest Reads(string sensor, Relation relation, Reading limit) =>
        new()
        {
            Sensor = sensor,
            Relation = relation,
            Limit = limit,
        };

    private static string Text(double number) => Figures.Plain(number);
}
