using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Makes models with every kind of source, step and test out of a seed. Parts refer only to parts made before them, so there
/// are no cycles; their ids are shuffled, so the order of the ids says nothing about the order of evaluation.</summary>
internal sealed class RandomModels(int seed)
{
    private readonly Random random = new(seed);
    private readonly Transmitter transmitter = Demo.Sandpiper.Transmitter;
    private readonly List<string> conditions = [];
    private readonly List<string> channels = [];
    private int ids;
    private TransmitterModel model = new()
    {
        Name = "RANDOM",
        Channels = ImmutableDictionary<string, Channel>.Empty,
        Sensors = Demo.Sandpiper.Model.Sensors,
    };

    /// <summary>A valid setup around a random model.</summary>
    public Setup Make()
    {
        Times(3, AddCondition);
        Times(2, AddChannel);
        for (var i = 0; i < 3; i++)
            AddState(i);
        Times(4, AddCondition);
        Times(4, AddChannel);
        for (var i = 0; i < 4; i++)
            AddOverride(i);
        model = model with { Trims = model.Trims.Add("yaw", Percents(-10, 10)).Add("left-dial", Percents(-10, 10)) };
        return Demo.Sandpiper with
        {
            Transmitter = transmitter with { ForcedPastEnds = Chance(0.5) },
            Model = model,
            // The functions of the board are not what is tested, and they name channels that may not be there.
            Board = Demo.Sandpiper.Board,
        };
    }

    /// <summary>What happens next: one control moves or one sensor reports, and time passes.</summary>
    public PlainInterpreter.Inputs Next(PlainInterpreter.Inputs last)
    {
        var hands = last.Hands.ToDictionary(StringComparer.Ordinal);
        var readings = last.Readings.ToDictionary(StringComparer.Ordinal);
        var (id, control) = Pick(transmitter.Listed);
        hands[id] = Setting(control);
        var (sensor, known) = Pick(model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal).ToList());
        if (Chance(0.3))
            readings[sensor] = random.Next((int)known.Lowest.Value, (int)known.Highest.Value + 1);
        return new(
            hands,
            readings,
            Chance(0.2) ? !last.Lost : last.Lost,
            Pick<double>([0, 10, 40, 200, 600, 3000, double.PositiveInfinity])
        );
    }

    public PlainInterpreter.Inputs AtRest() =>
        new(
            transmitter.Controls.ToDictionary(c => c.Key, c => c.Value.StartValue.Value, StringComparer.Ordinal),
            model.Sensors.ToDictionary(s => s.Key, s => s.Value.Bench.Value, StringComparer.Ordinal),
            Lost: false,
            Elapsed: 0
        );

    private double Setting(Control control) =>
        control.NamedPositions.Count > 0
            ? control.Read(Pick(control.NamedPositions).Setting)!.Value.Value
            : random.Next(-200, 201) / 2.0;

    private void AddCondition()
    {
        var id = FreshId("q");
        var condition = new Condition { Label = id, Test = RandomTest(depth: 2) };
        model = model with { Conditions = model.Conditions.Add(id, condition) };
        conditions.Add(id);
    }

    private void AddChannel()
    {
        var id = FreshId("c");
        var channel = new Channel
        {
            Number = new ChannelNumber(channels.Count + 1),
            Label = id,
            Take = RandomSource(),
            Steps = Enumerable
                .Range(0, random.Next(7))
                .ToImmutableDictionary(_ => FreshId("s"), order => RandomStep(order)),
            Output = new OutputStage
            {
                Reverse = Chance(0.3),
                Low = Percents(-140, -60),
                Centre = Percents(-20, 20),
                High = Percents(60, 140),
            },
        };
        model = model with { Channels = model.Channels.Add(id, channel) };
        channels.Add(id);
    }

    private void AddState(int order)
    {
        var state = new FlightState
        {
            Label = "state",
            Order = order,
            When = order == 2 ? null : Pick(conditions),
        };
        model = model with { States = model.States.Add(FreshId("f"), state) };
    }

    private void AddOverride(int order)
    {
        var forced = new Override
        {
            Label = "force",
            Channel = Pick(channels),
            When = Pick(conditions),
            Value = Percents(-150, 150),
            Order = order,
            Enabled = Chance(0.7),
        };
        model = model with { Overrides = model.Overrides.Add(FreshId("o"), forced) };
    }

    private ChainStep RandomStep(int order)
    {
        ChainStep step = random.Next(8) switch
        {
            0 => new ScaleStep
            {
                Order = order,
                Scale = Percents(-200, 200),
                Shift = Percents(-50, 50),
            },
            1 => new AddStep { Order = order, With = RandomOperand() },
            2 => new MultiplyStep { Order = order, With = RandomOperand() },
            3 => new SwitchOverStep { Order = order, With = RandomOperand() },
            4 => new SlowStep
            {
                Order = order,
                Up = new PercentPerSecond(random.Next(3) * 150),
                Down = new PercentPerSecond(random.Next(3) * 90),
            },
            5 => new LimitStep
            {
                Order = order,
                Low = Percents(-120, -10),
                High = Percents(10, 120),
            },
            6 => new CurveStep { Order = order, Points = RandomCurve() },
            _ => new StateStep
            {
                Order = order,
                Values = model
                    .States.Keys.Where(_ => Chance(0.6))
                    .ToImmutableDictionary(s => s, _ => Percents(-100, 100)),
            },
        };
        return step with { Off = Chance(0.15), When = Chance(0.3) ? Pick(conditions) : null };
    }

    private ImmutableArray<CurvePoint> RandomCurve() =>
        [
            .. Enumerable
                .Range(0, random.Next(3, 12))
                .Select(_ => random.Next(-100, 101))
                .Append(-100)
                .Append(100)
                .Append(0)
                .Distinct()
                .Order()
                .Take(11)
                .Select(x => new CurvePoint { X = new Percent(x), Y = Percents(-120, 120) }),
        ];

    private Operand RandomOperand() =>
        new()
        {
            Take = RandomSource(),
            Scale = Percents(-150, 150),
            Shift = Percents(-60, 60),
        };

    private Source RandomSource() =>
        random.Next(6) switch
        {
            0 => new ConstantSource { Value = Percents(-100, 100) },
            1 => new SensorSource { Sensor = Pick(model.Sensors.Keys.Order(StringComparer.Ordinal).ToList()) },
            2 when conditions.Count > 0 => new ConditionSource { Condition = Pick(conditions) },
            3 when channels.Count > 0 => new ChannelSource { Channel = Pick(channels) },
            _ => new ControlSource { Control = Pick(transmitter.Listed).Key },
        };

    private Test RandomTest(int depth)
    {
        var kind = random.Next(depth > 0 ? 12 : 7);
        // Limits off the grid of the values: a comparison must not hang on the last bit of a sum.
        return kind switch
        {
            0 or 1 => RandomPosition(),
            2 => new CompareTest
            {
                Value = RandomSource(),
                Relation = Pick<Relation>([Relation.Below, Relation.Above]),
                Limit = new Percent(random.Next(-90, 90) + 0.1371),
            },
            3 => new SensorTest
            {
                Sensor = "distance",
                Relation = Pick<Relation>([Relation.Below, Relation.Above]),
                Limit = new Reading(random.Next(2900) + 0.5),
            },
            4 => new TelemetryLostTest(),
            5 when conditions.Count > 0 => new HoldsTest { Condition = Pick(conditions) },
            6 when model.States.Count > 0 => new StateTest
            {
                State = Pick(model.States.Keys.Order(StringComparer.Ordinal).ToList()),
            },
            7 => new AllTest { Of = RandomTests(depth) },
            8 => new AnyTest { Of = RandomTests(depth) },
            9 => new NotTest { Of = RandomTests(depth) },
            10 => new LatchTest { Set = RandomTests(depth), Clear = RandomTests(depth) },
            11 => new DelayTest
            {
                Of = RandomTests(depth),
                OnAfter = new Milliseconds(random.Next(3) * 250),
                OffAfter = new Milliseconds(random.Next(3) * 250),
            },
            _ => new PressTest
            {
                Control = Pick<string>(["left-button", "right-button"]),
                AtLeast = new Milliseconds(random.Next(3) * 300),
                Before = Chance(0.5) ? new Milliseconds(900) : null,
            },
        };
    }

    private PositionTest RandomPosition()
    {
        var (id, control) = Pick(transmitter.Listed.Where(c => c.Value.NamedPositions.Count > 1).ToList());
        var settings = control.NamedPositions.Select(p => (int)p.Setting).ToArray();
        return new PositionTest { Control = id, Positions = [.. settings.Take(random.Next(1, settings.Length))] };
    }

    private ImmutableArray<Test> RandomTests(int depth) =>
        [.. Enumerable.Range(0, random.Next(1, 3)).Select(_ => RandomTest(depth - 1))];

    // The counter keeps them apart, the number before it shuffles them.
    private string FreshId(string kind) => $"{kind}{random.Next(1_000_000):x}-{ids++}";

    private Percent Percents(int low, int high) => new(random.Next(low * 2, (high * 2) + 1) / 2.0);

    private bool Chance(double share) => random.NextDouble() < share;

    private T Pick<T>(IReadOnlyList<T> from) => from[random.Next(from.Count)];

    private static void Times(int count, Action add)
    {
        for (var i = 0; i < count; i++)
            add();
    }
}
