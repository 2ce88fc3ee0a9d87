using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

public sealed class FlightFunctionTests
{
    // Common practice, no source: all 64 combinations against the order as a plain list.
    [Fact]
    public void The_strongest_function_that_is_on_flies_the_craft()
    {
        FunctionKind[] order =
        [
            FunctionKind.ReturnHome,
            FunctionKind.Manual,
            FunctionKind.PositionHold,
            FunctionKind.Cruise,
            FunctionKind.SelfLevel,
            FunctionKind.BlendedLevel,
        ];
        var pattern = Demo.Plain.Board.Functions["arm"];
        var functions = Demo.Plain.Board.Functions.Clear().Add("arm", pattern);
        for (var i = 0; i < order.Length; i++)
            functions = functions.Add($"{order.Length - i}", pattern with { Kind = order[i], Aux = i + 2 });
        var plan = new BoardPlan(Demo.Plain.Board with { Functions = functions });
        for (var on = 0; on < 64; on++)
        {
            var received = Enumerable.Repeat(new Microseconds(1000), 16).ToArray();
            for (var i = 0; i < order.Length; i++)
                if ((on >> i & 1) != 0)
                    received[i + 5] = new Microseconds(1900);
            var wanted = Enumerable
                .Range(0, order.Length)
                .Where(i => (on >> i & 1) != 0)
                .Select(i => $"{order.Length - i}");
            Assert.Equal(wanted, FlightFunctions.ByStrength(plan, plan.View(received), fix: true));
            // Without a position fix: manual and the levelling functions alone.
            Assert.Equal(
                wanted.Where(id => id is "5" or "2" or "1"),
                FlightFunctions.ByStrength(plan, plan.View(received), fix: false)
            );
        }
    }

    [Fact]
    public void The_bench_says_what_flies_and_what_is_shadowed()
    {
        var bench = new BenchRun(Demo.Sandpiper);
        string Flight()
        {
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
            return bench.Snapshot("throttle").Board.Flight;
        }

        Assert.Equal("Self-level", Flight());
        bench.Move("right-shoulder", 2);
        Assert.Equal("Self-level; Return home waits for a position fix", Flight());
        bench.Surround(new Surroundings(default, false, false, Fix: true));
        Assert.Equal("Return home, which shadows Self-level", Flight());
        bench.Move("right-shoulder", 1);
        bench.Move("right-front-inner", 3);
        Assert.Equal("Rate flight", Flight());
        bench.SetPower(false);
        Assert.Equal("", Flight());
    }
}
