namespace Zephyros.Core.Setups.Patches;

/// <summary>What a patch operation does (RFC 6902). Edits need no move and no copy, so there are none.</summary>
public enum PatchKind
{
    /// <summary>The value at the path must equal the given one.</summary>
    Test,

    /// <summary>Puts a value where there may be none yet.</summary>
    Add,

    /// <summary>Takes a value away.</summary>
    Remove,

    /// <summary>Puts a value in the place of another.</summary>
    Replace,
}
