using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Loss;
using Zephyros.Core.Loss.Presets;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Loss;

/// <summary>Presets that were worked out, against what the board makes of them.</summary>
public sealed class PresetTests
{
    private const double Room = 5;

    // Random bands, spans, limits and jitter: what is offered disarms and is low with room, and where nothing is offered nothing would be.
    [Fact]
    public void What_is_offered_is_disarmed_and_low_and_what_is_not_cannot_be()
    {
        var random = new Random(515);
        var refused = 0;
        for (var i = 0; i < Iterations.Of(150); i++)
        {
            var setup = Random(random);
            var plan = SignalPlan.Compile(setup);
            var answer = PresetSolver.Of(plan);
            if (answer.Problems.Count > 0)
            {
                Assert.Null(answer.Edit);
                Assert.True(Hopeless(plan), $"{i}: {string.Join(" ", answer.Problems)}");
                refused++;
                continue;
            }

            var presets = (answer.Edit!.ApplyTo(setup).Setup ?? throw new InvalidOperationException("refused")).Air;
            Assert.Equal(ReceiverLoss.Preset, presets.OnLoss);
            foreach (var row in answer.Rows)
                Assert.Equal(row.Count, plan.Wire.ToCount(row.Value, setup.Wire.Rounding));
            foreach (var function in setup.Board.Functions.Values.Where(f => f.Kind == FunctionKind.Arm))
                Assert.True(Outside(setup.Board, function, Arrives(plan, presets.Presets[function.Channel])));
            Assert.True(
                IsLow(setup.Board, Arrives(plan, presets.Presets[setup.Board.Map.ChannelOf(StickAxis.Throttle)]))
            );
        }

        Assert.True(refused > 0);
    }

    // A craft in the air with these presets is disarmed with the first frame after the receiver gives up.
    [Fact]
    public void The_bench_stops_its_motors_when_they_come()
    {
        var setup = Solved(Demo.Plain);
        var marks = LossPlay.Of(setup, new Percent(20), fix: false)!.With(Core.Craft.FlightAtLoss.Usual).Marks;
        var stop = marks.Single(m => m.Kind == LossMarkKind.MotorsStop).Latest.Value;
        Assert.InRange(stop, 300, 300 + (2 * setup.Wire.FramePeriod.Value));
    }

    // To the board the arm switch was off: with the throttle low it arms again, which the pilot must be told.
    [Fact]
    public void That_it_arms_again_by_itself_is_said_as_the_bench_does_it()
    {
        var setup = Solved(Demo.Plain);
        var bench = ArmedBench.Of(setup, new Percent(-100), fix: false)!.Bench;
        bench.SetLink(false);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        Assert.False(bench.Board.Armed);
        bench.SetLink(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        Assert.Equal(bench.Board.Armed, PresetSolver.Of(SignalPlan.Compile(Demo.Plain)).ArmsAgain);
        Assert.True(bench.Board.Armed);
    }

    [Fact]
    public void They_are_proven()
    {
        foreach (var setup in new[] { Demo.Plain, Demo.Wren })
        {
            var prover = new Prover(SignalPlan.Compile(Solved(setup)), new ProofLimits());
            foreach (var promise in PromiseList.All.Where(p => p is QuietReceiver or LossIsHandled or LossInTime))
                Assert.Equal(
                    VerdictKind.Proven,
                    prover.Prove(promise, null, TestContext.Current.CancellationToken).Kind
                );
        }
    }

    [Fact]
    public void A_craft_that_levels_itself_and_is_found_where_its_channels_allow_it()
    {
        var board = Demo.Wren.Board;
        foreach (var kind in new[] { FunctionKind.SelfLevel, FunctionKind.Beeper })
        {
            var (_, function) = board.Functions.First(f => f.Value.Kind == kind);
            Assert.Contains(
                PresetSolver.Of(SignalPlan.Compile(Demo.Wren)).Rows,
                r => r.Channel == function.Channel && function.Contains(r.Value)
            );
        }
    }

    private static Setup Solved(Setup setup) => PresetSolver.Of(SignalPlan.Compile(setup)).Edit!.ApplyTo(setup).Setup!;

    private static Microseconds Arrives(SignalPlan plan, Microseconds preset) =>
        plan.Wire.ToMicroseconds(plan.Wire.ToCount(preset, plan.Setup.Wire.Rounding));

    private static bool Outside(FlightBoard board, BoardFunction function, Microseconds value)
    {
        var wander = board.WanderOn(function.Channel).Value + Room;
        return value.Value + wander <= function.Low.Value + 1e-9 || value.Value - wander >= function.High.Value - 1e-9;
    }

    private static bool IsLow(FlightBoard board, Microseconds value) =>
        board.Scaled(StickAxis.Throttle, value).Value
            + board.WanderOn(board.Map.ChannelOf(StickAxis.Throttle)).Value
            + Room
        <= board.ThrottleLow.Value + 1e-9;

    // By hand, each microsecond that a transmitter could send.
    private static bool Hopeless(SignalPlan plan)
    {
        var (setup, board) = (plan.Setup, plan.Setup.Board);
        var ends = new[] { -100.0, 100 }
            .Select(p => setup.Transmitter.Scale.ToMicroseconds(new Percent(p)).Value)
            .ToArray();
        Microseconds[] all =
        [
            .. Enumerable
                .Range(0, (int)(ends[1] - ends[0]) + 1)
                .Select(i => Arrives(plan, new Microseconds(ends[0] + i))),
        ];
        if (!all.Any(v => IsLow(board, v)))
            return true;
        return board
            .Functions.Values.Where(f =>
                f.Kind is FunctionKind.Arm or FunctionKind.ArmConsent or FunctionKind.SelfRight
            )
            .GroupBy(f => f.Channel)
            .Any(c => !all.Any(v => Clear(board, c.Key, v) && c.All(f => !f.Contains(v))));
    }

    // Far enough from every edge on its channel that can be crossed.
    private static bool Clear(FlightBoard board, ChannelNumber channel, Microseconds value) =>
        board
            .Functions.Values.Where(f => f.Channel == channel)
            .SelectMany(f => new[] { f.Low.Value, f.High.Value })
            .Where(edge => edge is > 900 and < 2100)
            .All(edge => Math.Abs(edge - value.Value) - board.WanderOn(channel).Value >= Room - 1e-9);

    private static Setup Random(Random random)
    {
        var setup = random.Next(2) == 0 ? Demo.Wren : Demo.Plain;
        var channels = setup.Board.Functions.Values.Select(f => f.Aux).Distinct().ToArray();
        return setup.WithBoard(b =>
            b with
            {
                ThrottleLow = new(random.Next(4) == 0 ? random.Next(985, 1010) : random.Next(1010, 1100)),
                Wander = channels
                    .Select(ChannelNumber.FromAux)
                    .Append(b.Map.ChannelOf(StickAxis.Throttle))
                    .Where(_ => random.Next(3) == 0)
                    .ToImmutableDictionary(c => c, _ => new Microseconds(random.Next(0, 40))),
                Functions = b.Functions.ToImmutableDictionary(
                    f => f.Key,
                    f =>
                    {
                        var low = 900 + (25 * random.Next(0, 40));
                        return f.Value with
                        {
                            Aux = channels[random.Next(channels.Length)],
                            Low = new(low),
                            High = new(random.Next(4) == 0 ? 2100 : Math.Min(2100, low + (25 * random.Next(1, 48)))),
                        };
                    },
                    StringComparer.Ordinal
                ),
            }
        );
    }
}
