using Zephyros.Core.Model.Running;
using Zephyros.Core.Setups;

namespace Zephyros.Benchmarks;

/// <summary>How much memory a compiled model keeps: what a thousand of them add to the heap.</summary>
internal static class KeptMemory
{
    private const int Count = 1000;

    /// <summary>Prints the figures.</summary>
    public static void Print()
    {
        foreach (
            var (name, setup) in new[]
            {
                ("16 plain channels", BenchmarkModels.PlainSixteen()),
                ("Sandpiper", BenchmarkModels.Sandpiper()),
                ("32 channels, every step, 20 conditions", BenchmarkModels.Large()),
            }
        )
            Console.WriteLine($"kept by a compiled model with its memory, {name}: {Measure(setup) / 1024.0:F1} kB");
    }

    private static long Measure(Setup setup)
    {
        var kept = new (ModelPlan, ModelMemory)[Count];
        var before = GC.GetTotalMemory(forceFullCollection: true);
        for (var i = 0; i < Count; i++)
        {
            var plan = ModelPlan.Compile(setup.Transmitter, setup.Model);
            kept[i] = (plan, plan.PowerOn());
        }

        var after = GC.GetTotalMemory(forceFullCollection: true);
        GC.KeepAlive(kept);
        return (after - before) / Count;
    }
}
