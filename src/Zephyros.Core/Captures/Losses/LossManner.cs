namespace Zephyros.Core.Captures.Losses;

/// <summary>What a receiver did on its wire after it had lost the signal.</summary>
public enum LossManner
{
    /// <summary>It sent nothing.</summary>
    Silent,

    /// <summary>It went on with the last values.</summary>
    Held,

    /// <summary>It went on with other values, and kept to them.</summary>
    Presets,
}
