namespace Zephyros.Core.Setups.Patches;

/// <summary>A patch does not apply to the document.</summary>
/// <param name="place">The path of the operation that does not apply.</param>
/// <param name="reason">Why not.</param>
/// <param name="isTest">True when a test failed: the document is not the one that the patch was made for.</param>
public sealed class PatchException(string place, string reason, bool isTest = false) : Exception(reason)
{
    /// <summary>The path of the operation that does not apply.</summary>
    public string Place { get; } = place;

    /// <summary>True when a test failed: the document is not the one that the patch was made for.</summary>
    public bool IsTest { get; } = isTest;
}
