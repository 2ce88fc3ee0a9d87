using System.Collections.Concurrent;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Tests.Reference;

namespace Zephyros.Core.Tests.Proof;

/// <summary>A searcher that knows only the bench, and what promises say in words, against the proof: what it breaks must not be called
/// proven.</summary>
public sealed class ThirdJudgeTests
{
    private const int Moves = 2000;

    [Fact]
    public void What_the_searcher_breaks_is_never_called_proven()
    {
        var setups = (int)Math.Min(2000, Iterations.Of(40));
        var (broken, done) = (0, 0);
        var wrong = new ConcurrentBag<string>();
        Parallel.For(
            0,
            setups,
            new ParallelOptions { CancellationToken = TestContext.Current.CancellationToken },
            seed =>
            {
                foreach (var said in Against(seed, ref broken))
                    wrong.Add(said);
                if (Interlocked.Increment(ref done) % 100 == 0)
                    Score.Progress($"third judge: {done} of {setups} setups");
            }
        );
        Score.Tell(
            $"third judge: {broken} promises broken on the bench in {setups} setups of {Moves} moves; {wrong.Count} of them called proven"
        );
        Assert.Empty(wrong.Order(StringComparer.Ordinal));
        Assert.InRange(broken, setups, 20 * setups);
    }

    // A search without aim is no substitute for the proof: what it needs for a planted fault, and which it never meets, is told.
    [Fact]
    public void How_long_the_searcher_needs_for_planted_faults_is_told()
    {
        var faults = ProofFaults
            .All.Where(f => !f.Value.Caught.StartsWith("finding", StringComparison.Ordinal))
            .ToArray();
        var moves = Iterations.Deep ? 5 * Moves : Moves / 5;
        var needed = new ConcurrentDictionary<string, int>(StringComparer.Ordinal);
        Parallel.ForEach(
            faults,
            new ParallelOptions { CancellationToken = TestContext.Current.CancellationToken },
            fault =>
            {
                var (setup, caught) = fault.Value;
                var searcher = new BreakSearcher(setup, seed: 1);
                searcher.Search(moves, caught);
                if (searcher.Broken.TryGetValue(caught, out var found))
                    needed[fault.Key] = found.Moves;
            }
        );
        int[] sorted = [.. needed.Values.Order()];
        Score.Tell(
            $"searcher: {sorted.Length} of {faults.Length} planted faults met within {moves} moves, half of these within {sorted[sorted.Length / 2]}"
        );
        if (Iterations.Deep)
            foreach (var (name, _) in faults)
                Score.Tell(
                    needed.TryGetValue(name, out var at) ? $"searcher: {name}: {at} moves" : $"searcher: {name}: never"
                );
        Assert.InRange(sorted.Length, faults.Length / 10, faults.Length);
    }

    private static IEnumerable<string> Against(int seed, ref int broken)
    {
        var setup = new NastyCraft(seed).Make();
        var searcher = new BreakSearcher(setup, seed);
        searcher.Search(Moves);
        Interlocked.Add(ref broken, searcher.Broken.Count);
        var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits { Time = TimeSpan.FromSeconds(20) });
        var wrong = new List<string>();
        foreach (var (code, (seen, _)) in searcher.Broken)
        {
            var verdict = prover.Prove(PromiseList.All.Single(p => p.Code == code));
            if (verdict.Kind == VerdictKind.Proven)
                wrong.Add($"seed {seed}: {code} is called proven ({verdict.Reason}), but {seen}");
        }

        return wrong;
    }
}
