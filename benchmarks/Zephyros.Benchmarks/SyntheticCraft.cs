using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Benchmarks;

/// <summary>A transmitter with many switches that all have a say in arming and throttle, through latches.</summary>
internal static class SyntheticCraft
{
    /// <summary>Makes one.</summary>
    /// <param name="three">How many switches have three positions.</param>
    /// <param name="two">How many have two; the first of them arms.</param>
    /// <param name="latches">How many latches there are.</param>
    public static Setup Make(int three, int two, int latches)
    {
        var setup = BenchmarkModels.Sandpiper();
        var controls = setup.Transmitter.Controls.Where(c => c.Value is StickControl).ToImmutableDictionary();
        for (var i = 0; i < three; i++)
            controls = controls.Add($"three-{i}", Switch($"Three {i}", 3));
        for (var i = 0; i < two; i++)
            controls = controls.Add($"two-{i}", Switch($"Two {i}", 2));
        var conditions = ImmutableDictionary<string, Condition>.Empty;
        for (var i = 0; i < latches; i++)
            conditions = conditions.Add(
                $"latch-{i}",
                Condition(
                    new LatchTest
                    {
                        Set = [At($"three-{2 * i % three}", 3), At($"three-{((2 * i) + 1) % three}", 2)],
                        Clear = [At($"two-{i % two}", 1), At($"three-{(three - 1 - i) % three}", 3)],
                    }
                )
            );
        Test[] latched = [.. Enumerable.Range(0, latches).Select(i => new HoldsTest { Condition = $"latch-{i}" })];
        Test[] switched = [.. Enumerable.Range(0, three).Select(i => At($"three-{i}", 2))];
        Test[] others = [.. Enumerable.Range(1, two - 1).Select(i => At($"two-{i}", 2))];
        conditions = conditions
            .Add("down", Condition(new AnyTest { Of = [.. latched, new AllTest { Of = [.. switched] }] }))
            .Add("off", Condition(new AllTest { Of = [.. others, .. latched] }));
        var model = setup.Model with
        {
            Conditions = conditions,
            Announcements = setup.Model.Announcements.Clear(),
            States = ImmutableDictionary<string, FlightState>.Empty,
            Channels = setup
                .Model.Channels.Where(c => c.Value.Number.Value <= 5)
                .ToImmutableDictionary(
                    c => c.Key,
                    c =>
                        c.Value with
                        {
                            Steps = ImmutableDictionary<string, ChainStep>.Empty,
                            Take = c.Key == "arm" ? new ControlSource { Control = "two-0" } : c.Value.Take,
                        },
                    StringComparer.Ordinal
                ),
            Overrides = ImmutableDictionary<string, Override>
                .Empty.Add("down", Force("throttle", "down"))
                .Add("off", Force("arm", "off")),
        };
        return setup with
        {
            Transmitter = setup.Transmitter with { Controls = controls },
            Model = model,
            Board = setup.Board with
            {
                Map = StickOrder.Parse("TAER"),
                Guards = new(),
                Functions = setup
                    .Board.Functions.Where(f => f.Key == "arm")
                    .ToImmutableDictionary(f => f.Key, f => f.Value with { Control = "two-0" }, StringComparer.Ordinal),
            },
        };
    }

    private static SwitchControl Switch(string label, int positions) =>
        new()
        {
            Label = label,
            Place = ControlPlace.LeftFront,
            Positions = positions,
            Start = 1,
            Safe = 1,
        };

    private static Condition Condition(Test test) => new() { Label = "c", Test = test };

    private static PositionTest At(string control, int position) => new() { Control = control, Positions = [position] };

    private static Override Force(string channel, string when) =>
        new()
        {
            Label = "Forced",
            Channel = channel,
            When = when,
            Value = new Percent(-100),
        };
}
