namespace Zephyros.Core.Bench;

/// <summary>What kind of thing happened on the bench.</summary>
public enum LogKind
{
    /// <summary>The transmitter announced something.</summary>
    Said,

    /// <summary>A timer began anew.</summary>
    Reset,

    /// <summary>The board armed.</summary>
    Armed,

    /// <summary>The board disarmed.</summary>
    Disarmed,

    /// <summary>The board refused to arm, or gives another reason now.</summary>
    Refused,

    /// <summary>The board knows that the signal is lost, or goes on to what it does then.</summary>
    Lost,

    /// <summary>The board has a good signal.</summary>
    Good,

    /// <summary>Transmitter or battery was switched.</summary>
    Switched,

    /// <summary>The transmitter misses telemetry.</summary>
    Missed,

    /// <summary>Telemetry comes, after it was missed.</summary>
    Heard,
}
