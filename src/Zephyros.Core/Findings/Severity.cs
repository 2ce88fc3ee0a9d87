namespace Zephyros.Core.Findings;

/// <summary>How much a finding matters.</summary>
public enum Severity
{
    /// <summary>The craft would do something else than the pilot means, or could not be stopped, or will not work.</summary>
    Danger,

    /// <summary>It works, but deserves a second look.</summary>
    Caution,
}
