namespace Zephyros.Core.Board;

/// <summary>Settings of the board that belong together, as sentences that read true: what to type in, and what to read back.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What they are for.</param>
/// <param name="Sentences">What they say.</param>
public sealed record BoardGroup(string Id, string Name, IReadOnlyList<BoardSentence> Sentences);
