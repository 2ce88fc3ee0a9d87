namespace Zephyros.Mutants;

/// <summary>A part of the tests that is run at one go.</summary>
/// <param name="Name">Its name; parts of one name take about as long.</param>
/// <param name="Project">The project, as "Core".</param>
/// <param name="Only">The test classes; empty for all.</param>
/// <param name="Without">The test classes that are left out.</param>
internal sealed record Part(string Name, string Project, IReadOnlyList<string> Only, IReadOnlyList<string> Without)
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

    // What was recorded of the whole core: takes longer than the tests of a room.
    private const string Records = "*RecordedTests";

    /// <summary>True when it is run only because nothing quicker has noticed.</summary>
    public bool IsSlow => Name == "slow";

    /// <summary>The parts that can notice a slip of a room, the quickest first: the tests of the room itself, what is recorded, the
    /// rest of its project, what takes long, and the assemblies above.</summary>
    /// <param name="room">The room.</param>
    /// <param name="quick">True to leave out what takes long and the assemblies above.</param>
    public static IReadOnlyList<Part> Of(string room, bool quick)
    {
        var web = new Part("web", "Web", [], []);
        if (room == "Web")
            return [web];
        if (room == "Storage")
            return [new Part("storage", "Storage", [], []), web];
        string[] own = [$"Zephyros.Core.Tests.{(room == "Promises" ? "Proof" : room)}.*"];
        List<Part> core =
        [
            new Part(room, "Core", own, [.. Slow, Records]),
            new Part("records", "Core", [Records], []),
            new Part("rest", "Core", [], [.. Slow, .. own, Records]),
        ];
        if (room is "Proof" or "Promises")
            core.Add(new Part("faults", "Core", [], []) { Method = "*What_is_said_of_each_planted_fault*" });
        return quick ? core : [.. core, web, new Part("slow", "Core", Slow, [])];
    }

    /// <summary>The only test; empty for all of the classes.</summary>
    private string Method { get; init; } = "";

    /// <summary>The arguments that choose it.</summary>
    public IEnumerable<string> Arguments =>
        Method.Length > 0
            ? ["-method", Method]
            : Only.SelectMany(name => new[] { "-class", name })
                .Concat(Without.SelectMany(name => new[] { "-class-", name }));
}
