using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;

namespace Zephyros.Mutants;

/// <summary>Runs tests with a slip turned on until one fails: first the quick ones, then those that take long, then those of the
/// assemblies above.</summary>
/// <param name="tree">The copy with the slips.</param>
internal sealed partial class TestRun(MutantTree tree)
{
    // What takes longest of the core's tests: run only when nothing quicker has noticed.
    private static readonly string[] Slow =
    [
        "*PromiseTests",
        "*ModelCheckerTests",
        "*SoundnessTests",
        "*ThirdJudgeTests",
        "*TrialTests",
        "*RandomModelTests",
    ];

    // A slip that makes a part of the tests take so much longer hangs.
    private const double Patience = 5;

    private static readonly TimeSpan AtLeast = TimeSpan.FromSeconds(30);

    private readonly Dictionary<string, TimeSpan> usual = new(StringComparer.Ordinal);

    /// <summary>The parts of the tests that can notice a slip of a room, the quickest first.</summary>
    public static IReadOnlyList<(string Project, bool Slow)> Parts(string room) =>
        room switch
        {
            "Web" => [("Web", false)],
            "Storage" => [("Storage", false), ("Web", false)],
            _ => [("Core", false), ("Web", false), ("Core", true)],
        };

    /// <summary>Runs a part without any slip, and learns how long it takes.</summary>
    /// <returns>The test that fails all the same; null when none does.</returns>
    public string? Learn(string project, bool slow)
    {
        var watch = Stopwatch.StartNew();
        var failed = Run(project, slow, 0, TimeSpan.FromHours(1));
        usual[$"{project} {slow}"] = watch.Elapsed;
        return failed;
    }

    /// <summary>The first test that notices a slip; null when none does.</summary>
    public string? Noticed(Slip slip)
    {
        foreach (var (project, slow) in Parts(slip.Room))
        {
            var patience = usual[$"{project} {slow}"] * Patience;
            if (Run(project, slow, slip.Number, patience > AtLeast ? patience : AtLeast) is { } failed)
                return slow ? $"{failed} (slow)" : failed;
        }

        return null;
    }

    private string? Run(string project, bool slow, int number, TimeSpan patience)
    {
        var program = tree.Tests(project);
        var start = new ProcessStartInfo("dotnet", [program, "-noColor", "-stopOnFail", "-maxThreads", "1"])
        {
            WorkingDirectory = Path.GetDirectoryName(program)!,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
            Environment = { [MutantTree.Switch] = number.ToString(CultureInfo.InvariantCulture) },
        };
        if (project == "Core")
            foreach (var name in Slow)
            {
                start.ArgumentList.Add(slow ? "-class" : "-class-");
                start.ArgumentList.Add(name);
            }

        using var process = Process.Start(start)!;
        var output = process.StandardOutput.ReadToEndAsync();
        _ = process.StandardError.ReadToEndAsync();
        if (!process.WaitForExit(patience))
        {
            process.Kill(entireProcessTree: true);
            return $"{project}: hangs";
        }

        var said = output.GetAwaiter().GetResult();
        if (process.ExitCode == 0)
            return null;
        var match = Failure().Match(said);
        return match.Success ? match.Groups["test"].Value : $"{project}: ends with {process.ExitCode}";
    }

    [GeneratedRegex(@"(?<test>[\w.]+)(\(.*\))? \[FAIL\]", RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture)]
    private static partial Regex Failure();
}
