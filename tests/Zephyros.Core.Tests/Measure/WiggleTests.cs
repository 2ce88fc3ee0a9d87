using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Measure;

/// <summary>The wiggle test against brute force and against a simulated craft.</summary>
public sealed class WiggleTests
{
    // All 24 orders times 16 reversals: wiggled one after the other on a simulated transmitter and board, each is found.
    [Fact]
    public void Every_order_and_reversal_is_solved_from_simulated_wiggles()
    {
        foreach (var sent in StickOrder.All)
            for (var reversed = 0; reversed < 16; reversed++)
            {
                var setup = Wired(sent, reversed);
                var answer = WiggleSolver.Solve([.. StickAxes.All.Select(a => Look(setup, a))], sent, setup.Board.Map);
                Assert.Equal(1, answer.Possible);
                Assert.Equal(setup.Board.Map, answer.BoardMap);
                Assert.Equal(sent, answer.SentOrder);
                Assert.Null(answer.Next);
                Assert.Equal(reversed, Mask(answer.Sticks, s => s.Reversed == true));
            }
    }

    // The solver never claims what an arrival that fits contradicts: brute force over all 384 and all subsets of observations.
    [Fact]
    public void Nothing_is_certain_that_another_way_contradicts()
    {
        var random = new Random(5);
        for (var i = 0; i < 384; i += 7)
        {
            var real = Arrival.All[i];
            for (var subset = 0; subset < 16; subset++)
            {
                WiggleSeen[] seen =
                [
                    .. StickAxes
                        .All.Where((_, place) => (subset >> place & 1) != 0)
                        .Select(stick => new WiggleSeen
                        {
                            Moved = stick,
                            Bar = real.BarOf(stick),
                            Reversed = random.Next(3) == 0 ? null : real.IsReversed(stick),
                        }),
                ];
                var fits = Arrival.All.Where(a => seen.All(a.Allows)).ToArray();
                var answer = WiggleSolver.Solve(seen, StickOrder.Parse("AETR"), StickOrder.Parse("TAER"));
                Assert.Equal(fits.Length, answer.Possible);
                foreach (var stick in answer.Sticks)
                {
                    Assert.Equal(stick.Bar is not null, fits.Select(a => a.BarOf(stick.Stick)).Distinct().Count() == 1);
                    Assert.Equal(
                        stick.Reversed is not null,
                        fits.Select(a => a.IsReversed(stick.Stick)).Distinct().Count() == 1
                    );
                    Assert.All(fits, a => Assert.True(stick.Bar is not { } bar || a.BarOf(stick.Stick) == bar));
                }
            }
        }
    }

    // Common practice, no source: three observations settle the order, the fourth direction needs its own.
    [Fact]
    public void Three_wiggles_settle_the_order_and_the_fourth_its_direction()
    {
        var seen = new[] { StickAxis.Roll, StickAxis.Pitch, StickAxis.Throttle }
            .Select(a => new WiggleSeen
            {
                Moved = a,
                Bar = a,
                Reversed = false,
            })
            .ToArray();
        var answer = WiggleSolver.Solve(seen, StickOrder.Parse("AETR"), StickOrder.Parse("AETR"));
        Assert.Equal(2, answer.Possible);
        Assert.Equal(StickAxis.Yaw, answer.Next);
        Assert.Equal(StickOrder.Parse("AETR"), answer.BoardMap);
        Assert.Equal((StickAxis.Yaw, null), (answer.Sticks.Single(s => s.Stick == StickAxis.Yaw).Bar, (bool?)null));
    }

    [Fact]
    public void Two_bars_for_one_stick_and_two_sticks_on_one_bar_are_named()
    {
        WiggleSeen[] seen =
        [
            new() { Moved = StickAxis.Throttle, Bar = StickAxis.Roll },
            new() { Moved = StickAxis.Yaw, Bar = StickAxis.Pitch },
            new() { Moved = StickAxis.Pitch, Bar = StickAxis.Roll },
        ];
        var answer = WiggleSolver.Solve(seen, null, StickOrder.Parse("AETR"));
        Assert.Equal(0, answer.Possible);
        Assert.Equal([(0, 2)], answer.Contradictions);
        Assert.Null(answer.BoardMap);
    }

    // A setup whose transmitter sends an order, with channels turned round.
    private static Setup Wired(StickOrder sent, int reversed)
    {
        var setup = Demo.Plain with { Model = ChannelOrder.Reorder(Demo.Plain.Model, Demo.Plain.Transmitter, sent)! };
        foreach (var (place, axis) in StickAxes.All.Index())
            if ((reversed >> place & 1) != 0)
                setup = setup.WithChannel(axis.Word(), c => c with { Output = c.Output with { Reverse = true } });
        return setup;
    }

    // One fix, in any place, and every stick moves its own bar the right way; all directions where there is time.
    [Fact]
    public void Each_fix_puts_order_and_directions_right_at_once()
    {
        var apart = Iterations.Deep ? 1 : 5;
        foreach (var sent in StickOrder.All)
            for (var reversed = 0; reversed < 16; reversed += apart)
            {
                var setup = Wired(sent, reversed);
                var answer = WiggleSolver.Solve([.. StickAxes.All.Select(a => Look(setup, a))], sent, setup.Board.Map);
                var fixes = WiggleFixes.Of(setup, answer).Where(f => f.Edit is not null).ToArray();
                // Directions are put right channel by channel; an order once.
                SetupEdit[][] ways =
                    sent == setup.Board.Map
                        ?
                        [
                            [.. fixes.Select(f => f.Edit!)],
                        ]
                        : [.. fixes.Select(f => new[] { f.Edit! })];
                foreach (var way in ways)
                {
                    var after = way.Aggregate(setup, (s, e) => e.ApplyTo(s).Setup!);
                    Assert.All(
                        StickAxes.All,
                        a => Assert.Equal((a, false), (Look(after, a).Bar, Look(after, a).Reversed))
                    );
                }
            }
    }

    // A setup that says something else than what is seen is not right on one of its two sides: both ways to write that down explain it.
    [Fact]
    public void Each_way_to_write_down_what_is_seen_explains_it()
    {
        foreach (var real in StickOrder.All.Where(o => o != Demo.Plain.Board.Map))
        {
            WiggleSeen[] seen = [.. StickAxes.All.Select(a => Look(Wired(real, 0), a))];
            var (sent, map) = (ChannelOrder.Of(Demo.Plain.Model, Demo.Plain.Transmitter)!.Value, Demo.Plain.Board.Map);
            var fixes = WiggleFixes.Of(Demo.Plain, WiggleSolver.Solve(seen, sent, map));
            Assert.Equal(2, fixes.Count);
            foreach (var fix in fixes)
            {
                Assert.EndsWith("write that down.", fix.Words, StringComparison.Ordinal);
                var after = fix.Edit!.ApplyTo(Demo.Plain).Setup!;
                Assert.Equal(seen, StickAxes.All.Select(a => Look(after, a)));
            }
        }
    }

    [Fact]
    public void With_separate_outputs_the_leads_can_be_moved()
    {
        // Sent are T A E R, read A E T R: the throttle of output 1 belongs into input 3, and the others move up.
        var sent = StickOrder.Parse("TAER");
        var setup = Wired(sent, 0) with { Wire = Demo.Plain.Wire with { Format = WireFormat.SeparatePulses } };
        var answer = WiggleSolver.Solve([.. StickAxes.All.Select(a => Look(setup, a))], sent, setup.Board.Map);
        Assert.Equal(
            "At the receiver: move the lead of output 1 to input 3, move the lead of output 2 to input 1, move the lead of output 3 to input 2.",
            WiggleFixes.Of(setup, answer).Single(f => f.Edit is null).Words
        );
    }

    // Each of two sticks mixed with one on a dial moves the bar of the other as well; its own is the one that is taken to its ends.
    [Theory]
    [InlineData(StickAxis.Yaw, "yaw", "roll")]
    [InlineData(StickAxis.Roll, "roll", "yaw")]
    public void A_bar_that_two_sticks_move_is_swept_by_its_own(StickAxis axis, string own, string other)
    {
        var mixed = Demo
            .Plain.WithChannel(other, c => c with { Take = Build.Hand("left-dial") })
            .WithStep(own, "mix", new AddStep { Order = 9, With = Build.With(Build.Hand(other), scale: 30) });
        var plan = SignalPlan.Compile(mixed);
        Assert.All(
            [StickAxis.Roll, StickAxis.Yaw],
            s => Assert.Equal(axis, SimulatedMeasurement.Wiggled(plan, s)?.Bar)
        );
        Assert.Equal(
            SimulatedMeasurement.Swept(SignalPlan.Compile(Demo.Plain), axis),
            SimulatedMeasurement.Swept(plan, axis)
        );
    }

    // What a pilot sees who moves one stick: the bar that changed, and which way.
    private static WiggleSeen Look(Setup setup, StickAxis stick)
    {
        var plan = SignalPlan.Compile(setup);
        var control = setup.Transmitter.StickOf(stick)!;
        double[] rest = [.. plan.With(control, -40).Received.Take(4).Select(v => v.Value)];
        double[] moved = [.. plan.With(control, 40).Received.Take(4).Select(v => v.Value)];
        var channel = Enumerable.Range(0, 4).Single(i => Math.Abs(moved[i] - rest[i]) > 1);
        return new WiggleSeen
        {
            Moved = stick,
            Bar = setup.Board.Map.AxisOf(new(channel + 1)),
            Reversed = moved[channel] < rest[channel],
        };
    }

    private static int Mask(IReadOnlyList<StickArrival> sticks, Func<StickArrival, bool> set) =>
        sticks.Index().Sum(s => set(s.Item) ? 1 << s.Index : 0);
}
