namespace Zephyros.Storage;

/// <summary>What became of an attempt to save.</summary>
public enum SaveOutcome
{
    /// <summary>It is saved.</summary>
    Saved,

    /// <summary>There is no such setup.</summary>
    NotFound,

    /// <summary>The setup has moved on from the revision that the writer started from; nothing was saved.</summary>
    Stale,

    /// <summary>There is nothing to undo or redo.</summary>
    NothingToDo,
}
