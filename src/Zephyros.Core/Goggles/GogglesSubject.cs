namespace Zephyros.Core.Goggles;

/// <summary>What an item in the goggles shows.</summary>
public enum GogglesSubject
{
    /// <summary>The voltage of the pack.</summary>
    PackVoltage,

    /// <summary>The voltage of a cell: the pack's, divided.</summary>
    CellVoltage,

    /// <summary>The signal's quality, in percent.</summary>
    SignalQuality,

    /// <summary>The signal's strength.</summary>
    SignalStrength,

    /// <summary>The time that the craft is armed, as the board counts it.</summary>
    ArmedTime,

    /// <summary>The function that flies.</summary>
    Function,

    /// <summary>The board's warnings.</summary>
    Warnings,

    /// <summary>The current.</summary>
    Current,

    /// <summary>The charge used.</summary>
    ChargeUsed,

    /// <summary>The height.</summary>
    Height,

    /// <summary>Distance and direction home.</summary>
    Home,

    /// <summary>The satellites in use.</summary>
    Satellites,

    /// <summary>The throttle.</summary>
    Throttle,

    /// <summary>The name of craft or pilot.</summary>
    Name,
}
