namespace Zephyros.Core.Model.Running.Ranges;

/// <summary>Goes through all ways in which undecided comparisons can come out: run, then <see cref="Next"/>, until that is false.</summary>
internal sealed class Choices
{
    private readonly List<bool> made = [];
    private int asked;

    /// <summary>How the comparison that is undecided now comes out in this run.</summary>
    public bool Take()
    {
        if (asked == made.Count)
            made.Add(false);
        return made[asked++];
    }

    /// <summary>Begins the next run.</summary>
    /// <returns>False when all ways were gone through.</returns>
    public bool Next()
    {
        made.RemoveRange(asked, made.Count - asked);
        asked = 0;
        while (made.Count > 0 && made[^1])
            made.RemoveAt(made.Count - 1);
        if (made.Count == 0)
            return false;
        made[^1] = true;
        return true;
    }
}
