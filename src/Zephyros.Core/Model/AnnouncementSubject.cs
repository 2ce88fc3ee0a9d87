namespace Zephyros.Core.Model;

/// <summary>What an announcement tells the pilot.</summary>
public enum AnnouncementSubject
{
    /// <summary>The craft is armed.</summary>
    Armed,

    /// <summary>The craft is disarmed.</summary>
    Disarmed,

    /// <summary>The signal is lost: the transmitter knows it by telemetry that stays away.</summary>
    SignalLost,

    /// <summary>The signal is back.</summary>
    SignalBack,

    /// <summary>Another function flies the craft.</summary>
    Mode,

    /// <summary>Anything else; it has a condition.</summary>
    Other,
}
