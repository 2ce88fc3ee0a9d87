using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests;

public sealed partial class DependencyRuleTests
{
    // The path of the signal: a room may use those before it and none after.
    private static readonly string[] Rooms = (
        "Units Hands Model Air Wire Captures Board Craft Goggles Setups "
        + "Edits Return ReadyMade Path Measure Findings Bench Loss Flights Proof Fixes Verdicts Symptoms Evidence Work"
    ).Split(' ');

    [Fact]
    public void Rooms_use_only_the_rooms_before_them()
    {
        var core = System.IO.Path.GetFullPath(System.IO.Path.Combine(Here(), "../../src/Zephyros.Core"));
        var folders = Directory
            .GetDirectories(core)
            .Select(System.IO.Path.GetFileName)
            .Except(["bin", "obj"])
            .Order(StringComparer.Ordinal);
        Assert.Equal(Rooms.Order(StringComparer.Ordinal), folders!);
        foreach (
            var file in Rooms.SelectMany(room =>
                Directory.EnumerateFiles(System.IO.Path.Combine(core, room), "*.cs", SearchOption.AllDirectories)
            )
        )
        {
            var room = Array.IndexOf(Rooms, System.IO.Path.GetRelativePath(core, file).Split('/')[0]);
            var used = RoomName().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value);
            Assert.All(used, name => Assert.True(Array.IndexOf(Rooms, name) <= room, $"{file} uses {name}"));
        }
    }

    // Quoted cells and how figures are read aloud are no matter of the job: libraries know them.
    [Fact]
    public void The_core_references_nothing_but_the_runtime_and_readers_of_tables_and_figures()
    {
        var references = typeof(Setup).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.All(
            references.Except(["CsvHelper", "Humanizer"], StringComparer.Ordinal),
            name => Assert.StartsWith("System", name, StringComparison.Ordinal)
        );
    }

    private static string Here([CallerFilePath] string path = "") => System.IO.Path.GetDirectoryName(path)!;

    [GeneratedRegex(@"Zephyros\.Core\.(\w+)")]
    private static partial Regex RoomName();
}
