namespace Zephyros.Core.Bench;

/// <summary>What is wrong with a recording of the simulated receiver.</summary>
public enum RecordingFault
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>It was taken behind an inverter: high is low.</summary>
    Flipped,

    /// <summary>The plug sits loosely: short bursts of disturbance damage some frames.</summary>
    LooseWire,

    /// <summary>The link is away for a while in its middle.</summary>
    LinkAway,

    /// <summary>The transmitter is off for three seconds while a stick is kept moving.</summary>
    TransmitterOff,
}
