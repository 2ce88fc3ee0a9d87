namespace Zephyros.Core.Bench;

/// <summary>What a trial of a loss waits for.</summary>
internal enum LossTrialPhase
{
    /// <summary>The craft is armed.</summary>
    Arm,

    /// <summary>The transmitter goes off.</summary>
    Off,

    /// <summary>The board notices, and does what it is set to.</summary>
    Watch,

    /// <summary>The transmitter comes on again.</summary>
    On,

    /// <summary>Nothing starts for a while.</summary>
    Stays,

    /// <summary>The arm switch goes off.</summary>
    SwitchOff,

    /// <summary>It arms again.</summary>
    ArmAgain,

    /// <summary>Everything was tried.</summary>
    Done,
}
