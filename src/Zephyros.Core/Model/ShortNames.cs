using System.Globalization;

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
        return Cut(bare, limit);
    }

    /// <summary>The beginning of a text, at most <paramref name="limit"/> long; a letter that takes two units is not cut in half.</summary>
    public static string Cut(string text, int limit)
    {
        if (text.Length <= limit)
            return text;
        return char.IsHighSurrogate(text[limit - 1]) ? text[..(limit - 1)] : text[..limit];
    }

    /// <summary>A name without stray spaces around it and without invisible characters that turn the direction of text or hide in it.</summary>
    public static string Clean(string name) => string.Concat(name.Where(c => !IsHidden(c))).Trim();

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
        if (label.Any(IsHidden) || shortForm.Any(IsHidden))
            return "has invisible characters in its name, which turn the direction of text or hide in it";
        if (limit == 0)
            return null;
        var stored = shortForm.Length > 0 ? shortForm : label;
        return stored.Length > limit ? $"is stored as “{stored}”, which has {stored.Length} letters of {limit}" : null;
    }

    // Format characters (Unicode category Cf), but for the two joiners that some scripts need.
    private static bool IsHidden(char c) =>
        char.GetUnicodeCategory(c) == UnicodeCategory.Format && c is not ('\u200C' or '\u200D');

    private static string WithoutVowels(string word) =>
        string.Concat(word.Where((letter, i) => i == 0 || !"aeiouAEIOU".Contains(letter, StringComparison.Ordinal)));
}
