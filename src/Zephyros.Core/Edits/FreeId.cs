namespace Zephyros.Core.Edits;

/// <summary>Finds ids for what an edit makes new. Whatever has the id that would be natural stays: an edit adds, or it changes what it names,
/// and never puts one thing in the place of another.</summary>
public static class FreeId
{
    // What an id of a document may have.
    private const int Longest = 80;

    // Room for a number behind a long name.
    private const int Stem = Longest - 5;

    /// <summary>The wanted id, or where something has it the same with the lowest number, from 2, that makes it free.</summary>
    /// <param name="wanted">Small letters, digits, hyphens or colons; one that is too long is cut.</param>
    /// <param name="taken">True for an id that something has.</param>
    public static string Of(string wanted, Func<string, bool> taken)
    {
        var id = wanted.Length > Longest ? wanted[..Longest] : wanted;
        for (var n = 2; taken(id); n++)
            id = $"{wanted[..Math.Min(wanted.Length, Stem)]}-{n}";
        return id;
    }
}
