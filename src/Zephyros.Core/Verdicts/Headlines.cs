namespace Zephyros.Core.Verdicts;

/// <summary>The verdict in words.</summary>
internal static class Headlines
{
    /// <summary>The verdict in a line.</summary>
    /// <param name="word">The verdict.</param>
    /// <param name="entries">What is open.</param>
    /// <param name="more">True when the proof has more to say, or might have.</param>
    public static string Of(VerdictWord word, IReadOnlyList<VerdictEntry> entries, bool more) =>
        word switch
        {
            VerdictWord.Wrong => Counts(entries) + (more ? " so far" : ""),
            VerdictWord.NothingSoFar => "Nothing wrong so far, the proof goes on",
            VerdictWord.Unfinished => "Nothing wrong so far, the proof is not finished",
            // A stop that is nowhere says nothing either: that is no comfort.
            VerdictWord.NotYet => NotYet(entries),
            VerdictWord.NothingWrong => "Nothing wrong",
        };

    /// <summary>What the verdict rests on.</summary>
    /// <param name="word">The verdict.</param>
    /// <param name="waiting">Of how many promises the proof has not said anything.</param>
    /// <param name="wanted">How many promises are looked at.</param>
    /// <param name="off">How many promises the pilot does not want looked at.</param>
    public static string Sentence(VerdictWord word, int waiting, int wanted, int off) =>
        word switch
        {
            VerdictWord.Wrong => "",
            VerdictWord.NothingSoFar or VerdictWord.Unfinished when wanted == 0 =>
                "No rule finds a fault on the path. No promise is looked at, so nothing is proven.",
            // Between the last promise and the end of the run.
            VerdictWord.NothingSoFar or VerdictWord.Unfinished when waiting == 0 =>
                "No rule finds a fault on the path. The proof is about to end.",
            VerdictWord.NothingSoFar or VerdictWord.Unfinished =>
                $"No rule finds a fault on the path. {(waiting == 1 ? "One promise is" : $"{waiting} promises are")} still to be proven.",
            VerdictWord.NotYet =>
                "No rule finds a fault, and no promise is broken; but some speak of what this setup never reaches, so nothing is proven of them.",
            VerdictWord.NothingWrong =>
                $"No rule finds a fault, and every promise is proven or kept as it is for a reason{Off(off)}.",
        };

    private static string Off(int off) =>
        off switch
        {
            0 => "",
            1 => "; one is not looked at",
            _ => $"; {off} are not looked at",
        };

    private static string Counts(IReadOnlyList<VerdictEntry> entries)
    {
        string[] parts =
        [
            .. Count(entries, VerdictLevel.Danger) is > 0 and var dangers
                ? [dangers == 1 ? "1 danger" : $"{dangers} dangers"]
                : Array.Empty<string>(),
            .. Count(entries, VerdictLevel.Check) is > 0 and var checks
                ? [$"{checks} to check"]
                : Array.Empty<string>(),
        ];
        return string.Join(", ", parts);
    }

    // What an entry tells counts each for itself: four trims are four things.
    private static int Count(IReadOnlyList<VerdictEntry> entries, VerdictLevel level) =>
        entries.Where(e => e.Level == level).Sum(e => Math.Max(e.Promises.Count, e.Findings.Count));

    private static string NotYet(IReadOnlyList<VerdictEntry> entries)
    {
        var count = entries.Where(e => e.Level == VerdictLevel.NotYet).Sum(e => e.Promises.Count);
        return count == 1 ? "One promise says nothing yet" : $"{count} promises say nothing yet";
    }
}
