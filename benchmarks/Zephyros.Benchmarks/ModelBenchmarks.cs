using BenchmarkDotNet.Attributes;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Benchmarks;

/// <summary>One evaluation of models of three sizes, and compiling them.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class ModelBenchmarks
{
    private readonly Runner plain = new(BenchmarkModels.PlainSixteen());
    private readonly Runner sandpiper = new(BenchmarkModels.Sandpiper());
    private readonly Runner large = new(BenchmarkModels.Large());

    /// <summary>Sixteen channels: take, one scale step, output stage.</summary>
    [Benchmark(Baseline = true)]
    public Microseconds EvaluatePlainSixteen() => plain.Evaluate();

    /// <summary>The demo craft Sandpiper with all of its logic.</summary>
    [Benchmark]
    public Microseconds EvaluateSandpiper() => sandpiper.Evaluate();

    /// <summary>32 channels of two steps each, every kind of step eight times, and twenty conditions.</summary>
    [Benchmark]
    public Microseconds EvaluateLarge() => large.Evaluate();

    /// <summary>Sandpiper compiled.</summary>
    [Benchmark]
    public ModelPlan CompileSandpiper() => sandpiper.Compile();

    /// <summary>The large model compiled.</summary>
    [Benchmark]
    public ModelPlan CompileLarge() => large.Compile();

    /// <summary>A compiled model with its memory and with hands that move.</summary>
    private sealed class Runner
    {
        private readonly Setup setup;
        private readonly ModelPlan plan;
        private readonly ModelMemory memory;
        private readonly Percent[] hands;
        private readonly Reading[] readings;
        private readonly Percent[] slots;
        private readonly Microseconds[] sent;
        private int turn;

        public Runner(Setup setup)
        {
            this.setup = setup;
            plan = Compile();
            memory = plan.PowerOn();
            (hands, readings) = (plan.StartValues(), plan.BenchReadings());
            (slots, sent) = (new Percent[plan.SlotCount], new Microseconds[plan.ChannelCount]);
        }

        public ModelPlan Compile() => ModelPlan.Compile(setup.Transmitter, setup.Model);

        public Microseconds Evaluate()
        {
            // Another control moves each time, so that no branch is always the same.
            turn = (turn + 1) & 0xFF;
            hands[turn % hands.Length] = new Percent(turn - 128);
            plan.Evaluate(new ModelInputs(hands, readings), TimeSpan.FromMilliseconds(7), memory, slots, sent);
            return sent[0];
        }
    }
}
