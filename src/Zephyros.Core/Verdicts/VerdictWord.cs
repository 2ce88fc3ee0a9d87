namespace Zephyros.Core.Verdicts;

/// <summary>What can be said of a craft in a word.</summary>
public enum VerdictWord
{
    /// <summary>Something is wrong, or is to be checked.</summary>
    Wrong,

    /// <summary>Nothing is wrong so far, and the proof goes on.</summary>
    NothingSoFar,

    /// <summary>Nothing is wrong so far, and the proof was ended before it had said everything.</summary>
    Unfinished,

    /// <summary>No rule finds a fault and no promise is broken, but some speak of what this setup never reaches.</summary>
    NotYet,

    /// <summary>No rule finds a fault, and every promise is proven or left as it is for a reason of the pilot's.</summary>
    NothingWrong,
}
