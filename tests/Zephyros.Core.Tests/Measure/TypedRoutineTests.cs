using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Path;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Measure;

/// <summary>The guided routines answered by typing what a board shows.</summary>
public sealed class TypedRoutineTests
{
    // A pilot who types what the simulated board would show gets what the bench measures.
    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void Sticks_that_are_typed_are_those_that_are_measured(string id)
    {
        var plan = SignalPlan.Compile(Demo.Load(id));
        var readings = new List<TypedReading>();
        foreach (var (control, setting) in StickRoutine.Movements(plan.Setup.Transmitter))
        {
            var asks = TypedRoutine.After(plan, RoutineKind.Sticks, readings).State.Asks;
            var stick = StickAxes.All.Single(a => plan.Setup.Transmitter.StickOf(a) == control);
            var bar = SimulatedMeasurement.Wiggled(plan, stick)!.Bar;
            Assert.Contains(bar, asks.Bars);
            readings.Add(new TypedReading { Bar = bar, Values = [Bar(plan, control, setting, bar)] });
        }

        var done = TypedRoutine.After(plan, RoutineKind.Sticks, readings).State;
        Assert.True(done.Done);
        Assert.Equal(
            StickAxes.All.Select(a => SimulatedMeasurement.Wiggled(plan, a)).OrderBy(w => w!.Moved),
            done.Readings.Wiggles.OrderBy(w => w.Moved)
        );
        foreach (
            var axis in StickAxes.All.Where(a =>
                done.Readings.Wiggles.Any(w => w.Bar == a && w.Moved != StickAxis.Throttle)
            )
        )
            Assert.Equal(SimulatedMeasurement.Swept(plan, axis), done.Readings.Sweeps[axis.Word()]);
    }

    [Theory]
    [MemberData(nameof(Demo.Names), MemberType = typeof(Demo))]
    public void Switches_that_are_typed_are_those_that_are_measured(string id)
    {
        var plan = SignalPlan.Compile(Demo.Load(id));
        var simulated = SimulatedMeasurement.Positions(plan);
        var readings = new List<TypedReading>();
        var state = TypedRoutine.After(plan, RoutineKind.Switches, readings).State;
        for (var step = 0; step < state.Count; step++)
        {
            var (control, setting) = new SwitchRoutine(plan, Rest(plan), default).Movements[step];
            var shown = state.Asks.Channels.Select(c =>
                simulated.Single(p => (p.Control, p.Setting, p.Channel) == (control, (int)setting, c)).Value
            );
            readings.Add(new TypedReading { Values = [.. shown], Jitter = new Microseconds(step) });
            state = TypedRoutine.After(plan, RoutineKind.Switches, readings).State;
            Assert.Equal(step + 1, state.Seen);
        }

        Assert.True(state.Done);
        Assert.Equal(Sorted(simulated), Sorted(state.Readings.Positions.Select(p => p with { Jitter = default })));
        Assert.Equal(state.Count - 1, state.Readings.Positions[^1].Jitter.Value);
    }

    [Fact]
    public void A_switch_that_runs_the_other_way_is_typed_like_any_other()
    {
        // Its first position shows what its start was planned to show.
        var plan = SignalPlan.Compile(Demo.Plain);
        var (control, _) = new SwitchRoutine(plan, Rest(plan), default).Movements[0];
        var start = plan.With(control, plan.Setup.Transmitter.Controls[control].StartSetting);
        var channel = TypedRoutine.After(plan, RoutineKind.Switches, []).State.Asks.Channels[0];
        TypedReading reading = new() { Values = [start.Received[channel.Value - 1]] };
        Assert.Equal(1, TypedRoutine.After(plan, RoutineKind.Switches, [reading]).State.Seen);
    }

    [Fact]
    public void A_stick_that_answers_on_another_bar_the_wrong_way_with_its_wander()
    {
        TypedReading[] readings =
        [
            new() { Bar = StickAxis.Yaw, Values = [new(1010)] },
            new() { Values = [new(1985)] },
            new() { Values = [new(1985)], Jitter = new(3) },
        ];
        var state = TypedRoutine.After(SignalPlan.Compile(Demo.Plain), RoutineKind.Sticks, readings).State;
        Assert.Equal("Move roll fully to the right, and hold it there.", state.Prompt);
        // The throttle has no spring: what it showed is what it should show still.
        Assert.Equal(
            1985,
            TypedRoutine
                .After(SignalPlan.Compile(Demo.Plain), RoutineKind.Sticks, readings[..2])
                .State.Asks.Stays?.Value
        );
        Assert.Equal([StickAxis.Roll, StickAxis.Throttle, StickAxis.Pitch, StickAxis.Yaw], state.Asks.Bars);
        Assert.Equal(
            new WiggleSeen
            {
                Moved = StickAxis.Throttle,
                Bar = StickAxis.Yaw,
                Reversed = true,
            },
            Assert.Single(state.Readings.Wiggles)
        );
        var sweep = state.Readings.Sweeps["yaw"];
        Assert.Equal((1010, 1985, 3), (sweep.Low.Value, sweep.High.Value, sweep.Jitter.Value));
    }

    [Fact]
    public void A_step_can_be_left_out_and_a_reading_taken_back()
    {
        var plan = SignalPlan.Compile(Demo.Plain);
        TypedReading[] readings = [new(), new() { Values = [new(2000)] }];
        Assert.Equal(
            "Now roll to its other end, and hold it there.",
            TypedRoutine.After(plan, RoutineKind.Sticks, readings).State.Prompt
        );
        Assert.StartsWith(
            "Move roll fully",
            TypedRoutine.After(plan, RoutineKind.Sticks, readings[..1]).State.Prompt,
            StringComparison.Ordinal
        );
        Assert.True(TypedRoutine.After(plan, RoutineKind.Sticks, [new(), new(), new(), new()]).State.Done);
    }

    [Theory]
    [InlineData("/readings/0/values/0", "too near", 1520)]
    [InlineData("/readings/1/values/0", "too near", 2000, 1990)]
    [InlineData("/readings/5/values/0", "no centre", 2000, 1000, 1000, 2000, 1000, 1000)]
    [InlineData("/readings/4", "measured already", 0, 0, 0, 0, 1500)]
    public void What_cannot_be_is_told_with_its_place(string place, string words, params int[] typed)
    {
        var problem = Problem([.. typed.Select(v => new TypedReading { Values = v == 0 ? [] : [new(v)] })]);
        Assert.Equal(place, problem.Place);
        Assert.Contains(words, problem.Reason, StringComparison.Ordinal);
    }

    [Fact]
    public void Another_bar_than_the_one_that_answered_and_too_many_values_are_told()
    {
        TypedReading first = new() { Values = [new(2000)] };
        var problem = Problem([first, new() { Bar = StickAxis.Yaw, Values = [new(1000)] }]);
        Assert.Equal("/readings/1/bar", problem.Place);
        Assert.Equal("yaw cannot answer now: throttle did before.", problem.Reason);
        Assert.Equal("/readings/1/values", Problem([first, new() { Values = [new(1000), new(1500)] }]).Place);
    }

    private static SetupProblem Problem(TypedReading[] readings) =>
        TypedRoutine.After(SignalPlan.Compile(Demo.Plain), RoutineKind.Sticks, readings).Problem!;

    private static BoardShows Rest(SignalPlan plan) => BoardShows.Of(plan.Setup.Board, plan.CreateValues().Received);

    private static Microseconds Bar(SignalPlan plan, string control, double setting, StickAxis bar)
    {
        var board = plan.Setup.Board;
        var shown = board.Scaled(bar, plan.With(control, setting).Received[board.Map.ChannelOf(bar).Value - 1]);
        return new(Math.Round(shown.Value));
    }

    private static IEnumerable<PositionSeen> Sorted(IEnumerable<PositionSeen> seen) =>
        seen.OrderBy(p => p.Control, StringComparer.Ordinal).ThenBy(p => p.Setting).ThenBy(p => p.Channel.Value);
}
