namespace Zephyros.Web.Contracts;

/// <summary>How the signal quality gets onto a channel.</summary>
public enum QualityWay
{
    /// <summary>The receiver puts it there.</summary>
    Receiver,

    /// <summary>The transmitter sends the reading that telemetry brought back up again.</summary>
    Transmitter,
}
