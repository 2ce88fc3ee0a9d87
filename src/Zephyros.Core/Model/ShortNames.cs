namespace Zephyros.Core.Model;

/// <summary>Short forms of names for transmitters that allow only a few letters.</summary>
public static class ShortNames
{
    /// <summary>A short form of at most <paramref name="limit"/> letters: the vowels inside words go first, then the end.</summary>
    /// <returns>The form, or an empty text when the name fits as it is or there is no limit.</returns>
    public static string For(string name, int limit)
    {
        if (limit == 0 || name.Length <= limit)
            return "";
        var words = name.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var bare = string.Concat(words.Select(WithoutVowels));
        return bare.Length <= limit ? bare : bare[..limit];
    }

    /// <summary>What is wrong with a name on a transmitter with a limit, as the end of a sentence; null when it does.</summary>
    /// <param name="label">The full name.</param>
    /// <param name="shortForm">The short form; empty when there is none.</param>
    /// <param name="limit">The limit; 0 for none.</param>
    public static string? Problem(string label, string shortForm, int limit)
    {
        if (string.IsNullOrWhiteSpace(label))
            return "has no name";
        if (label != label.Trim() || shortForm != shortForm.Trim())
            return "has stray spaces around its name";
        if (limit == 0)
            return null;
        var stored = shortForm.Length > 0 ? shortForm : label;
        return stored.Length > limit ? $"is stored as “{stored}”, which has {stored.Length} letters of {limit}" : null;
    }

    private static string WithoutVowels(string word) =>
        string.Concat(word.Where((letter, i) => i == 0 || !"aeiouAEIOU".Contains(letter, StringComparison.Ordinal)));
}
