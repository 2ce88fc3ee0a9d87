using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Benchmarks;

/// <summary>The setups that are measured.</summary>
internal static class BenchmarkModels
{
    private const int Channels = 32;
    private const int Conditions = 20;

    /// <summary>The demo craft Sandpiper.</summary>
    public static Setup Sandpiper() => Demo("sandpiper");

    /// <summary>A demo craft.</summary>
    public static Setup Demo(string name) =>
        SetupJson.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, $"demo/{name}.json"))).Setup!;

    /// <summary>Sixteen channels that each scale one control.</summary>
    public static Setup PlainSixteen()
    {
        var setup = Sandpiper();
        return With(setup, 16, (_, _) => [new ScaleStep { Order = 1, Scale = new Percent(90) }]);
    }

    /// <summary>32 channels of two steps each, every kind of step eight times, and twenty conditions of every kind.</summary>
    public static Setup Large()
    {
        var setup = Sandpiper();
        setup = setup with { Transmitter = setup.Transmitter with { Channels = Channels } };
        return WithLogic(
            With(
                setup,
                Channels,
                (number, controls) => [Step(2 * number, 1, controls), Step((2 * number) + 1, 2, controls)]
            )
        );
    }

    private static Setup With(Setup setup, int count, Func<int, string[], ChainStep[]> steps)
    {
        string[] controls = [.. setup.Transmitter.Listed.Select(c => c.Key)];
        var channels = Enumerable
            .Range(1, count)
            .ToImmutableDictionary(
                n => $"channel-{n}",
                n => new Channel
                {
                    Number = new ChannelNumber(n),
                    Label = $"Channel {n}",
                    Take = new ControlSource { Control = controls[n % controls.Length] },
                    Steps = steps(n, controls)
                        .Select((s, i) => (s, i))
                        .ToImmutableDictionary(s => $"s{s.i}", s => s.s, StringComparer.Ordinal),
                },
                StringComparer.Ordinal
            );
        var bare = setup.Model with
        {
            Channels = channels,
            Conditions = setup.Model.Conditions.Clear(),
            Announcements = setup.Model.Announcements.Clear(),
            Overrides = setup.Model.Overrides.Clear(),
            States = setup.Model.States.Clear(),
            Timers = setup.Model.Timers.Clear(),
        };
        return setup with { Model = bare };
    }

    private static Setup WithLogic(Setup setup) =>
        setup with
        {
            Model = setup.Model with
            {
                Conditions = ManyConditions(setup.Transmitter),
                States = ImmutableDictionary<string, FlightState>
                    .Empty.Add("one", State(1, "q3"))
                    .Add("two", State(2, "q4"))
                    .Add("rest", State(3, null)),
            },
        };

    private static FlightState State(int order, string? when) =>
        new()
        {
            Label = $"State {order}",
            Order = order,
            When = when,
        };

    private static ChainStep Step(int kind, int order, string[] controls)
    {
        var with = new Operand
        {
            Take = new ControlSource { Control = controls[kind % controls.Length] },
            Scale = new Percent(50),
        };
        ChainStep step = (kind % 8) switch
        {
            0 => new ScaleStep { Order = order, Scale = new Percent(80) },
            1 => new CurveStep
            {
                Order = order,
                Points = CurvePresets.Expo(new Percent(40), 9),
                Smooth = kind % 16 == 1,
            },
            2 => new AddStep { Order = order, With = with },
            3 => new MultiplyStep { Order = order, With = with },
            4 => new SwitchOverStep { Order = order, With = with },
            5 => new SlowStep { Order = order, Up = new PercentPerSecond(200) },
            6 => new LimitStep { Order = order, Low = new Percent(-80) },
            _ => new StateStep
            {
                Order = order,
                Values = ImmutableDictionary<string, Percent>.Empty.Add("one", new Percent(30)),
            },
        };
        return kind % 3 == 0 ? step with { When = $"q{kind % Conditions}" } : step;
    }

    private static ImmutableDictionary<string, Condition> ManyConditions(Transmitter transmitter)
    {
        var switches = transmitter.Listed.Where(c => c.Value is SwitchControl).Select(c => c.Key).ToArray();
        var all = ImmutableDictionary<string, Condition>.Empty;
        for (var i = 0; i < Conditions; i++)
            all = all.Add($"q{i}", new Condition { Label = $"q{i}", Test = Made(i, switches) });
        return all;
    }

    private static Test Made(int i, string[] switches)
    {
        var position = new PositionTest { Control = switches[i % switches.Length], Positions = [2] };
        var low = new CompareTest
        {
            Value = new ControlSource { Control = "throttle" },
            Relation = Relation.Below,
            Limit = new Percent(-98),
        };
        return (i % 7) switch
        {
            0 => position,
            1 => low,
            2 => new AllTest { Of = [position, low] },
            3 => new AnyTest { Of = [position, new NotTest { Of = [low] }] },
            4 => new LatchTest { Set = [position, low], Clear = [new NotTest { Of = [position] }] },
            5 => new DelayTest { Of = [position], OnAfter = new Milliseconds(300) },
            _ => new SensorTest
            {
                Sensor = "distance",
                Relation = Relation.Above,
                Limit = new Reading(600),
            },
        };
    }
}
