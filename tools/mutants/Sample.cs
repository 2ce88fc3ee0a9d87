namespace Zephyros.Mutants;

/// <summary>Chooses slips by chance, the same ones for the same seed.</summary>
internal static class Sample
{
    // The rooms of the core are its folders, the promises one of their own; so are the other assemblies.
    private static readonly string[] Sources = ["src/Zephyros.Core", "src/Zephyros.Storage", "src/Zephyros.Web"];

    /// <summary>So many slips of each room, at least one for each file as long as there are enough; none of them overlap.</summary>
    /// <param name="root">The repository.</param>
    /// <param name="rooms">The rooms; empty for all.</param>
    /// <param name="count">How many of each room.</param>
    /// <param name="seed">Decides which.</param>
    public static IReadOnlyList<Slip> Of(string root, IReadOnlyCollection<string> rooms, int count, int seed)
    {
        var random = new Random(seed);
        var chosen = new List<Slip>();
        foreach (
            var room in All(root)
                .GroupBy(s => s.Room, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
        )
        {
            var shuffled = room.ToArray();
            random.Shuffle(shuffled);
            if (rooms.Count > 0 && !rooms.Contains(room.Key, StringComparer.Ordinal))
                continue;
            var taken = new List<Slip>();
            foreach (var slip in shuffled)
                if (taken.Count < count && !taken.Exists(t => t.File == slip.File && t.Span.OverlapsWith(slip.Span)))
                    taken.Add(slip);
            chosen.AddRange(taken);
        }

        return [.. chosen.Select((s, i) => s with { Number = i + 1 })];
    }

    private static IEnumerable<Slip> All(string root) =>
        from source in Sources
        from path in Directory
            .EnumerateFiles(Path.Combine(root, source), "*.cs", SearchOption.AllDirectories)
            .Order(StringComparer.Ordinal)
        let file = Path.GetRelativePath(root, path).Replace('\\', '/')
        where !file.Contains("/obj/", StringComparison.Ordinal) && !file.Contains("/bin/", StringComparison.Ordinal)
        from slip in new SlipFinder(RoomOf(file), file).Find(File.ReadAllText(path))
        select slip;

    private static string RoomOf(string file)
    {
        var parts = file.Split('/');
        var project = parts[1].Split('.')[^1];
        return project != "Core" ? project
            : parts.Contains("Promises") ? "Promises"
            : parts[2];
    }
}
