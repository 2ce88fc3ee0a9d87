using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;

namespace Zephyros.Mutants;

/// <summary>Runs tests with a slip turned on until one fails.</summary>
/// <param name="tree">The copy with the slips.</param>
/// <param name="quick">True to leave out what takes long: what is then not noticed may be noticed all the same.</param>
internal sealed partial class TestRun(MutantTree tree, bool quick)
{
    // A slip that makes a part of the tests take so much longer hangs.
    private const double Patience = 5;

    private static readonly TimeSpan AtLeast = TimeSpan.FromSeconds(30);

    private readonly ConcurrentDictionary<string, TimeSpan> usual = new(StringComparer.Ordinal);

    /// <summary>Runs a part without any slip, and learns how long it takes.</summary>
    /// <returns>The test that fails all the same; null when none does.</returns>
    public string? Learn(Part part)
    {
        var watch = Stopwatch.StartNew();
        var failed = Run(part, 0, TimeSpan.FromHours(1));
        usual[part.Name] = watch.Elapsed;
        return failed;
    }

    /// <summary>The first test that notices a slip; null when none does.</summary>
    public string? Noticed(Slip slip)
    {
        foreach (var part in Part.Of(slip.Room, quick))
        {
            var patience = usual[part.Name] * Patience;
            if (Run(part, slip.Number, patience > AtLeast ? patience : AtLeast) is { } failed)
                return part.IsSlow ? $"{failed} (slow)" : failed;
        }

        return null;
    }

    private string? Run(Part part, int number, TimeSpan patience)
    {
        var program = tree.Tests(part.Project);
        var start = new ProcessStartInfo("dotnet", [program, "-noColor", "-stopOnFail", "-maxThreads", "1"])
        {
            WorkingDirectory = Path.GetDirectoryName(program)!,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
            Environment = { [MutantTree.Switch] = number.ToString(CultureInfo.InvariantCulture) },
        };
        foreach (var argument in part.Arguments)
            start.ArgumentList.Add(argument);
        using var process = Process.Start(start)!;
        var output = process.StandardOutput.ReadToEndAsync();
        _ = process.StandardError.ReadToEndAsync();
        if (!process.WaitForExit(patience))
        {
            process.Kill(entireProcessTree: true);
            return $"{part.Project}: hangs";
        }

        var said = output.GetAwaiter().GetResult();
        if (process.ExitCode == 0)
            return null;
        var match = Failure().Match(said);
        return match.Success ? match.Groups["test"].Value : $"{part.Project}: ends with {process.ExitCode}";
    }

    [GeneratedRegex(@"(?<test>[\w.]+)(\(.*\))? \[FAIL\]", RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture)]
    private static partial Regex Failure();
}
