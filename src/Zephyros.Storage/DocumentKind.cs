namespace Zephyros.Storage;

/// <summary>What a stored document is.</summary>
public enum DocumentKind
{
    /// <summary>A setup, as it stands.</summary>
    Setup,

    /// <summary>Evidence of something done at the bench.</summary>
    Evidence,

    /// <summary>A radio system that a pilot has written down.</summary>
    LinkProfile,

    /// <summary>The data file itself.</summary>
    DataFile,
}
