using System.Diagnostics;
using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;

namespace Zephyros.Mutants;

/// <summary>A copy of the repository in which slips are planted, each behind a switch.</summary>
/// <param name="root">The repository.</param>
/// <param name="place">Where the copy is.</param>
internal sealed partial class MutantTree(string root, string place)
{
    /// <summary>The variable that turns a slip on, by its number.</summary>
    public const string Switch = "ZEPHYROS_SLIP";

    private const string Switches = $$"""
        namespace Zephyros.Slips;

        internal static class Slip
        {
            private static readonly int Active = int.TryParse(System.Environment.GetEnvironmentVariable("{{Switch}}"), out var n) ? n : 0;

            public static bool On(int number) => Active == number;
        }
        """;

    private const int MostBuilds = 6;

    /// <summary>Copies what is committed or changed, but neither what is ignored nor the interface.</summary>
    public void Copy()
    {
        Directory.CreateDirectory(place);
        foreach (var file in Lines("git", root, "ls-files", "-co", "--exclude-standard"))
        {
            if (
                !File.Exists(Path.Combine(root, file)) || file.StartsWith("src/frontend/src/", StringComparison.Ordinal)
            )
                continue;
            var to = Path.Combine(place, file);
            Directory.CreateDirectory(Path.GetDirectoryName(to)!);
            File.Copy(Path.Combine(root, file), to, overwrite: true);
        }
    }

    /// <summary>Plants slips and builds the tests. What does not compile is left out.</summary>
    /// <returns>The slips that are in it.</returns>
    public IReadOnlyList<Slip> Build(IReadOnlyList<Slip> slips)
    {
        foreach (var project in new[] { "Core", "Storage", "Web" })
            File.WriteAllText(Path.Combine(place, $"src/Zephyros.{project}/Slip.cs"), Switches);
        var kept = slips.ToList();
        for (var build = 0; build < MostBuilds; build++)
        {
            foreach (var file in slips.Select(s => s.File).Distinct(StringComparer.Ordinal))
                File.WriteAllText(
                    Path.Combine(place, file),
                    Planted(File.ReadAllText(Path.Combine(root, file)), kept.Where(s => s.File == file))
                );
            var said = Lines(
                "dotnet",
                place,
                "build",
                "Zephyros.slnx",
                "-c",
                "Release",
                "-p:RunAnalyzers=false",
                "-p:TreatWarningsAsErrors=false",
                "-p:EnforceCodeStyleInBuild=false",
                "-v",
                "quiet"
            );
            var wrong = said.Select(l => Error().Match(l)).Where(m => m.Success).ToArray();
            if (wrong.Length == 0)
                return kept;
            var blamed = wrong.SelectMany(match => Blamed(match, kept)).ToHashSet();
            if (blamed.Count == 0)
                throw new InvalidOperationException(
                    string.Join('\n', wrong.Select(w => w.Value).Distinct(StringComparer.Ordinal).Take(10))
                );
            kept.RemoveAll(blamed.Contains);
        }

        throw new InvalidOperationException("The slips do not compile.");
    }

    /// <summary>The program with the tests of a project, once built.</summary>
    public string Tests(string project) =>
        Path.Combine(place, $"tests/Zephyros.{project}.Tests/bin/Release/net10.0/Zephyros.{project}.Tests.dll");

    // Planted code keeps the lines of the file, so a line tells which slips may be to blame. Of a variable that is not set any more
    // the compiler complains further down.
    private static IEnumerable<Slip> Blamed(Match error, IEnumerable<Slip> slips)
    {
        var line = int.Parse(error.Groups["line"].Value, CultureInfo.InvariantCulture);
        var before = slips
            .Where(s => error.Groups["file"].Value.EndsWith(s.File, StringComparison.Ordinal) && s.Line <= line)
            .ToArray();
        var at = before.Where(s => line <= s.Line + s.Was.Count(c => c == '\n')).ToArray();
        return at.Length > 0 ? at : before.OrderByDescending(s => s.Line).Take(1);
    }

    // No two of them overlap.
    private static string Planted(string code, IEnumerable<Slip> slips)
    {
        var made = new StringBuilder(code);
        foreach (var slip in slips.OrderByDescending(s => s.Span.Start))
        {
            made.Remove(slip.Span.Start, slip.Span.Length);
            made.Insert(slip.Span.Start, Plant(slip));
        }

        return made.ToString();
    }

    private static string Plant(Slip slip)
    {
        var becomes = string.Join(' ', slip.Becomes.Split('\n').Select(l => l.Trim()));
        return slip.Kind switch
        {
            SlipKind.Statement => $"if (!Zephyros.Slips.Slip.On({slip.Number})) {slip.Was}",
            _ => $"(Zephyros.Slips.Slip.On({slip.Number}) ? ({becomes}) : ({slip.Was}))",
        };
    }

    private static IReadOnlyList<string> Lines(string command, string where, params string[] arguments)
    {
        var start = new ProcessStartInfo(command, arguments)
        {
            WorkingDirectory = where,
            RedirectStandardOutput = true,
            UseShellExecute = false,
        };
        using var process = Process.Start(start)!;
        var lines = process.StandardOutput.ReadToEnd().Split('\n', StringSplitOptions.RemoveEmptyEntries);
        process.WaitForExit();
        return lines;
    }

    [GeneratedRegex(@"^\s*(?<file>[^(]+)\((?<line>\d+),\d+\): error (?<text>.*)$", RegexOptions.NonBacktracking)]
    private static partial Regex Error();
}
