using Zephyros.Core.Bench;
using Zephyros.Core.Loss;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Loss;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>A loss that is tried at the bench, guided.</summary>
public sealed class LossTrialTests
{
    // The times that a test must come to are those of the timeline of a craft that stands armed at idle.
    [Fact]
    public void The_expected_times_are_those_of_the_timeline()
    {
        var random = new Random(88);
        var compared = 0;
        for (var i = 0; i < Iterations.Of(60); i++)
        {
            var setup = LossSetups.Next(random);
            var timeline = LossPlay.Of(setup, new Percent(-100), fix: false);
            if (timeline is null || LossTimes.Of(setup) is not { } times)
                continue;
            var marks = timeline.With(Core.Craft.FlightAtLoss.Usual).Marks;
            Assert.Equal(times.Notices.Value, Latest(marks, LossMarkKind.SignalLost), 3);
            Assert.Equal(times.Stops.Value, Latest(marks, LossMarkKind.MotorsStop), 3);
            compared++;
        }

        Assert.True(compared > 10);
    }

    // Whatever is set, the simulated board does what it is set to, and hands that follow the prompts come to the end.
    [Fact]
    public void Hands_that_follow_come_to_the_end_and_everything_comes_as_it_should()
    {
        var random = new Random(41);
        for (var i = 0; i < Iterations.Of(60); i++)
        {
            var setup = LossSetups.Next(random);
            var bench = Armed(setup, out var arm, out var disarm);
            var state = Followed(bench, arm, disarm);
            Assert.True(state.Done, $"{i}: {state.Prompt} {state.Problem}");
            if (LossTimes.Of(setup) is not null)
                Assert.All(state.Steps, s => Assert.True(s.Came, $"{i}: {s}"));
        }
    }

    [Fact]
    public void A_transmitter_that_comes_on_too_soon_is_told_and_begins_again()
    {
        var bench = Armed(Demo.Plain, out _, out _);
        bench.TryLoss(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        bench.SetLink(false);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        bench.SetLink(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
        var state = bench.Snapshot("").Trial!;
        Assert.Equal("The transmitter came on again too soon.", state.Problem);
        Assert.Null(state.Steps.Single(s => s.Id == "stops").Came);
        bench.TryLoss(false);
        Assert.Null(bench.Snapshot("").Trial);
    }

    // Whoever unplugs the craft sees motors that stand, and has tried nothing.
    [Fact]
    public void A_craft_that_is_unplugged_has_not_stopped_its_motors()
    {
        var bench = Armed(Demo.Plain, out _, out _);
        bench.TryLoss(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(1));
        bench.SetLink(false);
        bench.SetPower(false);
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(3));
        var state = bench.Snapshot("").Trial!;
        Assert.Equal("The craft has no power.", state.Problem);
        Assert.Null(state.Steps.Single(s => s.Id == "stops").Came);
    }

    private static LossTrialState Followed(BenchRun bench, (string Id, double On) arm, double off)
    {
        bench.TryLoss(true);
        for (var turn = 0; turn < 400; turn++)
        {
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(250));
            var state = bench.Snapshot("").Trial!;
            if (state.Done)
                return state;
            if (state.Prompt.StartsWith("Switch the transmitter off", StringComparison.Ordinal))
                bench.SetLink(false);
            else if (state.Prompt.StartsWith("Leave it at idle", StringComparison.Ordinal))
            {
                bench.AdvanceTo(bench.Now + bench.Setup.Board.Loss.LowBefore!.Value.ToTimeSpan());
                bench.SetLink(false);
            }
            else if (state.Prompt.StartsWith("Switch the transmitter on", StringComparison.Ordinal))
                bench.SetLink(true);
            else if (state.Prompt is "Arm switch off.")
                bench.Move(arm.Id, off);
            else if (
                state.Prompt is "Arm switch on."
                || (state.Prompt.Contains("and arm", StringComparison.Ordinal) && turn > 2)
            )
                bench.Move(arm.Id, arm.On);
        }

        return bench.Snapshot("").Trial!;
    }

    private static BenchRun Armed(Setup setup, out (string Id, double On) arm, out double off)
    {
        var armed = ArmedBench.Of(setup, new Percent(-100), fix: false)!;
        var (id, on) = armed
            .Hands.Select(h => (h.Control, h.Setting))
            .Last(h => h.Control == setup.Board.Arm!.Value.Value.Control);
        (arm, off) = ((id, on), setup.Transmitter.Controls[id].NamedPositions.First(p => p.Setting != on).Setting);
        return armed.Bench;
    }

    private static double Latest(IEnumerable<LossMark> marks, LossMarkKind kind) =>
        marks.Single(m => m.Kind == kind).Latest.Value;
}
