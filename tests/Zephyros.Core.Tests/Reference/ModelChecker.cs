using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;

namespace Zephyros.Core.Tests.Reference;

/// <summary>The general-purpose model checker spin, run on an exported model in a folder of its own.</summary>
internal static partial class ModelChecker
{
    /// <summary>What it said: whether an assertion failed, how deep, and how many states it stored.</summary>
    public sealed record Result(bool Broken, int Depth, long States, double Seconds);

    /// <summary>Checks a model breadth first, so that a failed assertion is reached by the fewest moves.</summary>
    public static Result Check(string model)
    {
        var folder = Directory.CreateTempSubdirectory("zephyros-spin-").FullName;
        try
        {
            File.WriteAllText(System.IO.Path.Combine(folder, "model.pml"), model);
            OutsideProgram.Run(folder, "spin", "-o2", "-o3", "-a", "model.pml");
            OutsideProgram.Run(
                folder,
                "gcc",
                "-O0",
                "-w",
                "-DSAFETY",
                "-DNOREDUCE",
                "-DNOFAIR",
                "-DBFS",
                "-o",
                "pan",
                "pan.c"
            );
            var clock = Stopwatch.StartNew();
            var said = OutsideProgram.Run(folder, System.IO.Path.Combine(folder, "pan"), "-E", "-w24");
            var seconds = clock.Elapsed.TotalSeconds;
            // A search that was cut short still says "errors: 0".
            Assert.DoesNotContain("max search depth too small", said, StringComparison.Ordinal);
            Assert.DoesNotContain("out of memory", said, StringComparison.Ordinal);
            var errors = int.Parse(Errors().Match(said).Groups[1].Value, CultureInfo.InvariantCulture);
            var depth = errors > 0 ? int.Parse(At().Match(said).Groups[1].Value, CultureInfo.InvariantCulture) : 0;
            return new Result(
                errors > 0,
                depth,
                long.Parse(Stored().Match(said).Groups[1].Value, CultureInfo.InvariantCulture),
                seconds
            );
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    [GeneratedRegex(@"errors: (\d+)")]
    private static partial Regex Errors();

    [GeneratedRegex(@"at depth (\d+)")]
    private static partial Regex At();

    [GeneratedRegex(@"(\d+) states, stored")]
    private static partial Regex Stored();
}
