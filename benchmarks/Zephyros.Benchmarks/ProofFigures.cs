using System.Diagnostics;
using System.Globalization;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Export;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Setups;

namespace Zephyros.Benchmarks;

/// <summary>How long proofs take, what they cost, and how the search of the model checker spin does on the same exported model.</summary>
internal static class ProofFigures
{
    private const string Kept = "restart-stays-off";

    /// <summary>Prints everything.</summary>
    public static void Print()
    {
        // The first proof of a process pays for the compiler.
        ProveAll(BenchmarkModels.Sandpiper());
        foreach (var name in new[] { "sandpiper", "wren", "gannet" })
            ProveAll(BenchmarkModels.Demo(name), name);
        ProveAll(Clean(), "sandpiper, order put right");
        EachAlone("wren", BenchmarkModels.Demo("wren"));
        EachAlone("gannet", BenchmarkModels.Demo("gannet"));
        Console.WriteLine("growth with switches of three positions (two of two positions, three latches):");
        for (var three = 4; three <= 10; three += 2)
            ProveOne($"{three} switches", SyntheticCraft.Make(three, 2, 3));
        ProveOne("ten of three, four of two, four latches", SyntheticCraft.Make(10, 4, 4));
        AgainstSpin("sandpiper, order put right", Clean());
        AgainstSpin("8 switches", SyntheticCraft.Make(8, 2, 3));
    }

    private static Setup Clean()
    {
        var setup = BenchmarkModels.Sandpiper();
        return setup with { Board = setup.Board with { Map = StickOrder.Parse("TAER") } };
    }

    private static void Line(FormattableString text) => Console.WriteLine(text.ToString(CultureInfo.InvariantCulture));

    private static void ProveAll(Setup setup, string? name = null)
    {
        var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits());
        var all = Stopwatch.StartNew();
        var (slowest, longest) = ("", 0.0);
        foreach (var promise in PromiseList.All)
        {
            var clock = Stopwatch.StartNew();
            prover.Prove(promise);
            if (clock.Elapsed.TotalMilliseconds > longest)
                (slowest, longest) = (promise.Code, clock.Elapsed.TotalMilliseconds);
        }

        if (name is not null)
            Line($"{name}: all promises {all.Elapsed.TotalMilliseconds:0} ms, slowest {slowest} {longest:0} ms");
    }

    // Each promise by a prover of its own, so that none lives on the tables of another.
    private static void EachAlone(string name, Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        Console.WriteLine($"{name}, each promise alone:");
        foreach (var promise in PromiseList.All)
        {
            var prover = new Prover(plan, new ProofLimits());
            var clock = Stopwatch.StartNew();
            var verdict = prover.Prove(promise);
            Line(
                $"  {promise.Code}: {clock.Elapsed.TotalMilliseconds:0} ms, {prover.MostInputs} controls and sensors that matter, {verdict.States:N0} states"
            );
        }
    }

    private static void ProveOne(string name, Setup setup)
    {
        var prover = new Prover(SignalPlan.Compile(setup), new ProofLimits());
        var promise = PromiseList.All.Single(p => p.Code == Kept);
        var clock = Stopwatch.StartNew();
        var first = prover.Prove(promise);
        var cold = clock.Elapsed.TotalSeconds;
        // The tables of the model are there the second time: the search alone.
        clock.Restart();
        prover.Prove(promise);
        var search = clock.Elapsed.TotalSeconds;
        Line(
            $"{name}: {first.Kind}, {first.States:N0} states, {first.Transitions / 1e6:0} million transitions; {cold:0.00} s with tables, search {search:0.00} s = {first.Transitions / 1e6 / search:0} million/s; {(double)first.Bytes / first.States:0.00} bytes a state, {first.Bytes >> 20} MB"
        );
    }

    private static void AgainstSpin(string name, Setup setup)
    {
        if (!File.Exists("/usr/bin/spin") || !File.Exists("/usr/bin/gcc"))
            return;
        var plan = SignalPlan.Compile(setup);
        var promise = PromiseList.All.Single(p => p.Code == Kept);
        if (PromelaExport.Write(plan, promise, 0) is not { } model)
            return;
        var folder = Directory.CreateTempSubdirectory("zephyros-bench-").FullName;
        File.WriteAllText(Path.Combine(folder, "m.pml"), model);
        Run(folder, "spin", "-o2 -o3 -a m.pml");
        Run(folder, "gcc", "-O3 -w -DSAFETY -DNOREDUCE -DNOFAIR -DBFS -o pan pan.c");
        var clock = Stopwatch.StartNew();
        var said = Run(folder, Path.Combine(folder, "pan"), "-E -w26");
        var theirs = clock.Elapsed.TotalSeconds;
        clock.Restart();
        var cold = new Prover(plan, new ProofLimits()).Prove(promise);
        var ours = clock.Elapsed.TotalSeconds;
        var stored = said.Split('\n').First(l => l.Contains("states, stored", StringComparison.Ordinal)).Trim();
        Line(
            $"{name}, against spin on the same model: spin {theirs:0.00} s ({stored}), Zephyros {ours:0.000} s with tables ({cold.States:N0} states): {theirs / ours:0} times"
        );
        Directory.Delete(folder, recursive: true);
    }

    private static string Run(string folder, string program, string arguments)
    {
        using var process = Process.Start(
            new ProcessStartInfo(program, arguments)
            {
                WorkingDirectory = folder,
                UseShellExecute = false,
                RedirectStandardOutput = true,
            }
        )!;
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return said;
    }
}
