using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Export;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Tests.Reference;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The search of the proof against the general-purpose model checker spin (Debian's package), which gets the exported model
/// and looks through it breadth first: verdict and shortest length always, the number of states where the promise is kept.</summary>
public sealed class ModelCheckerTests
{
    // Larger ones would only make the compiler of the checker's program work longer.
    private const long MostStates = 40_000;

    // In make test some, in make test-deep all promises of all demo setups.
    public static TheoryData<string, string> Demos => Iterations.Deep ? All : Some;

    private static TheoryData<string, string> All =>
        new(from row in Demo.Names from promise in PromiseList.All select (row.Data, promise.Code));

    private static TheoryData<string, string> Some =>
        new()
        {
            { "sandpiper", "quiet-start" },
            { "sandpiper", "no-leap" },
            { "sandpiper", "stop-works" },
            { "wren", "no-switch-adds-thrust" },
            { "gannet", "loss-is-handled" },
        };

    [Theory]
    [MemberData(nameof(Demos))]
    public void The_checker_says_the_same_of_the_demo_setups(string name, string code) =>
        Compare(SignalPlan.Compile(Demo.Load(name)), PromiseList.All.Single(p => p.Code == code), long.MaxValue);

    [Fact]
    public void The_checker_says_the_same_of_random_setups()
    {
        var wanted = Iterations.OfProofs(12);
        var (compared, broken) = (0, 0);
        for (var seed = 0; compared < wanted; seed++)
        {
            var plan = SignalPlan.Compile(new RandomCraft(seed).Make());
            var promises = PromiseList.All.Where(p => p.BySettings(plan) is null).ToArray();
            if (Compare(plan, promises[seed % promises.Length], MostStates, seed: seed) is not { } result)
                continue;
            compared++;
            broken += result ? 1 : 0;
        }

        // Setups that keep everything, or nothing, would compare little.
        Assert.InRange(broken, wanted / 10, wanted * 9 / 10);
    }

    // The plan of positions: a function on in its position (a goal, which is reached), and in no other (which is proven).
    [Fact]
    public void The_checker_says_the_same_of_planned_positions()
    {
        var plan = SignalPlan.Compile(Demo.Wren);
        var promise = PromiseList.All.Single(p => p.Code == "functions-reachable");
        var checks = promise.Checks(plan).Index().Where(c => c.Item.Standing is not null).ToArray();
        var wanted = checks.First(c => !c.Item.Unwanted).Index;
        var unwanted = checks.First(c => c.Item.Unwanted).Index;
        Assert.True(Compare(plan, promise, long.MaxValue, wanted));
        Assert.False(Compare(plan, promise, long.MaxValue, unwanted));
    }

    private static bool? Compare(SignalPlan plan, Promise promise, long most, int index = 0, int seed = -1)
    {
        var check = promise.Checks(plan).ElementAtOrDefault(index);
        if (check is null)
            return null;
        var prover = new Prover(plan, Build.Patient);
        var model = prover.ModelFor(check);
        var explorer = prover.ExplorerFor(check, check.Watch());
        var starts = prover.Starts(model, check.DeclaredStart);
        if (model.Grid.Positions * model.Memory.Bound > most)
            return null;
        var ours = explorer.Explore(starts, null, TestContext.Current.CancellationToken);
        if (ours.States > most)
            return null;
        var exported = PromelaExport.Write(plan, promise, index, TestContext.Current.CancellationToken)!;
        var theirs = ModelChecker.Check(exported);
        Assert.Equal(ours.Ending == ExplorationEnding.Broken, theirs.Broken);
        // The exported model first chooses a start: one step for each input and one for the memory, which spin counts from 0.
        var wanted = prover.WantedCells(model, check.DeclaredStart);
        var cells = model
            .Scope.Inputs.Select((input, i) => wanted.Any(w => w.Input == i) ? 1 : input.Cells.Count)
            .ToArray();
        if (theirs.Broken)
            Assert.True(
                ours.Path.Count - 1 == theirs.Depth - cells.Length,
                $"{promise.Code}, check {index}, seed {seed}: {ours.Path.Count - 1} moves, but {theirs.Depth - cells.Length} by the checker"
            );
        else
            Assert.Equal(ours.States, theirs.States - StatesBeforeTheStart(cells));
        return theirs.Broken;
    }

    private static long StatesBeforeTheStart(int[] cells)
    {
        var (sum, product) = (1L, 1L);
        foreach (var count in cells)
            sum += product *= count;
        return sum;
    }
}
