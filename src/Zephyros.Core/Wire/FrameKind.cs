namespace Zephyros.Core.Wire;

/// <summary>What a good frame is.</summary>
public enum FrameKind
{
    /// <summary>It carries channels, and their values are fresh.</summary>
    Channels,

    /// <summary>It carries channels and says that they are old: the receiver missed a packet or has lost the signal.</summary>
    Stale,

    /// <summary>It carries something else, such as telemetry.</summary>
    Other,
}
