using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using Zephyros.Benchmarks;

// First argument: the folder of the built application. With "live" as second one, only the running application is measured.
// The inner loops run in this process: a build of their own takes long and has hung on machines with a slow registry.
// "proof" measures the proofs alone, "wire" formats and recordings, "flights" recorded flights, "loss" losses of the signal.
if (args is [_, "proof"])
{
    ProofFigures.Print();
    return;
}

if (args is [_, "flights"])
{
    FlightFigures.Print();
    return;
}

if (args is [_, "loss"])
{
    LossFigures.Print();
    return;
}

var job = Job.ShortRun.WithToolchain(InProcessEmitToolchain.Instance);
var config = DefaultConfig.Instance.AddJob(job).WithArtifactsPath("artifacts/benchmarks");
if (args is [_, "wire"])
{
    CaptureFigures.Print();
    BenchmarkRunner.Run<WireBenchmarks>(config);
    return;
}

if (args is not [_, "live"])
{
    BenchmarkRunner.Run<ModelBenchmarks>(config);
    BenchmarkRunner.Run<WireBenchmarks>(config);
    CaptureFigures.Print();
    FlightFigures.Print();
    LossFigures.Print();
    KeptMemory.Print();
    ProofFigures.Print();
}

await LiveFigures.PrintAsync(args[0]);
