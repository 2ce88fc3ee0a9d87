namespace Zephyros.Core.Units;

/// <summary>A word of the field as Zephyros uses it.</summary>
/// <param name="Word">The word, or words that belong together.</param>
/// <param name="Meaning">What it means, in a sentence.</param>
/// <param name="Also">What it is called elsewhere, or looked for under.</param>
public sealed record TradeWord(string Word, string Meaning, IReadOnlyList<string> Also);
