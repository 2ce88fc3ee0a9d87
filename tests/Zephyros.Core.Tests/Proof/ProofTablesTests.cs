using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Proof.Tables;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What tables say that they take, beside what the runtime gave out for them: the limit of a proof rests on it.</summary>
public sealed class ProofTablesTests
{
    [Fact]
    public void A_table_of_steps_takes_what_it_says() =>
        Takes(
            () => new StepTable(0, new Happening(MoveKind.Input)),
            table => table.Learn(4999, 1),
            table => table.Bytes
        );

    [Fact]
    public void Pages_take_what_they_say()
    {
        var meter = new ByteMeter();
        Takes(
            () => new Pages<ulong>(10_000, meter),
            pages =>
            {
                for (var i = 0; i < 10_000; i += 100)
                    pages.At(i) = 1;
            },
            _ => meter.Bytes
        );
    }

    // Many situations and few positions: their tables are most of it.
    [Fact]
    public void An_exploration_takes_at_least_what_its_tables_take()
    {
        var plan = SignalPlan.Compile(Demo.Clean);
        var prover = new Prover(plan, Patient);
        var check = Assert.Single(PromiseList.All.Single(p => p.Code == "loss-is-handled").Checks(plan));
        var model = prover.ModelFor(check);
        var explorer = prover.ExplorerFor(check, check.Watch());
        var found = prover.Explore(check, model, explorer);
        var (tables, situations) = (model.Bytes, explorer.System.Bytes);
        Assert.True(situations > found.Bytes / 2, "another check would say more");
        Assert.True(found.Bytes > tables + situations);
    }

    private static void Takes<T>(Func<T> make, Action<T> fill, Func<T, long> says)
    {
        // Once before, so that nothing else is made for the first time.
        fill(make());
        var made = make();
        var said = -says(made);
        var given = -GC.GetAllocatedBytesForCurrentThread();
        fill(made);
        given += GC.GetAllocatedBytesForCurrentThread();
        said += says(made);
        Assert.InRange(said, 0.8 * given, 1.2 * given);
    }
}
