namespace Zephyros.Core.Bench;

/// <summary>What is to come on the bench. Of parts that are due at the same instant the one that stands first acts first, and then all are
/// asked anew: what one does may let another act at that instant, or no longer.</summary>
/// <param name="parts">The parts, in the order of the path.</param>
internal sealed class BenchAgenda(params IReadOnlyList<BenchPart> parts)
{
    /// <summary>The part that acts next, and when; null when none does.</summary>
    public (BenchPart Part, TimeSpan At)? Next
    {
        get
        {
            (BenchPart Part, TimeSpan At)? first = null;
            foreach (var part in parts)
                if (part.Next() is var at && at < (first?.At ?? TimeSpan.MaxValue))
                    first = (part, at);
            return first;
        }
    }
}
