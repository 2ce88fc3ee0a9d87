namespace Zephyros.Core.Board;

/// <summary>One thing that a board's settings say.</summary>
/// <param name="Text">The sentence.</param>
/// <param name="IsUsual">True when it is what a board says whose settings nobody has touched.</param>
public sealed record BoardSentence(string Text, bool IsUsual);
