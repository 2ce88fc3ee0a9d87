namespace Zephyros.Core.Board;

/// <summary>How what the board reports comes to the receiver.</summary>
public enum ReportWay
{
    /// <summary>Back over the receiver's own wire, which must carry both directions.</summary>
    ReceiverWire,

    /// <summary>Over a wire of its own, from another port to the receiver.</summary>
    OwnWire,

    /// <summary>Not at all: the board's telemetry is off.</summary>
    Off,
}
