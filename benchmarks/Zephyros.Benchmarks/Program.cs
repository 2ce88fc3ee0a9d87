using BenchmarkDotNet.Running;
using Zephyros.Benchmarks;

// First argument: the folder of the built application. With "live" as second one, only the running application is measured.
if (args is not [_, "live"])
    BenchmarkRunner.Run<PathBenchmarks>();
await LiveFigures.PrintAsync(args[0]);
