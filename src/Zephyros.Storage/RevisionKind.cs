namespace Zephyros.Storage;

/// <summary>How a revision came about.</summary>
public enum RevisionKind
{
    /// <summary>The first one of a setup.</summary>
    Create,

    /// <summary>An edit.</summary>
    Edit,

    /// <summary>An undo; it shows an earlier revision again.</summary>
    Undo,

    /// <summary>A redo; it shows an undone revision again.</summary>
    Redo,
}
