namespace Zephyros.Core.Loss;

/// <summary>What happens at a moment of a loss.</summary>
public enum LossMarkKind
{
    /// <summary>The last packet came.</summary>
    LastPacket,

    /// <summary>The receiver takes the signal for lost.</summary>
    ReceiverGivesUp,

    /// <summary>The motors do something else while the board still takes the signal for good: presets do that.</summary>
    MotorsChange,

    /// <summary>The board knows that the signal is lost.</summary>
    SignalLost,

    /// <summary>The board's procedure begins.</summary>
    Procedure,

    /// <summary>It has climbed by itself, and turns home.</summary>
    TurnsHome,

    /// <summary>It is home.</summary>
    Home,

    /// <summary>The motors stop.</summary>
    MotorsStop,

    /// <summary>The craft begins to beep by itself.</summary>
    Beeps,

    /// <summary>The craft is on the ground.</summary>
    Touchdown,

    /// <summary>The transmitter misses telemetry.</summary>
    TelemetryMissed,

    /// <summary>The transmitter says something.</summary>
    Told,
}
