namespace Zephyros.Core.Flights.Table;

/// <summary>What a column of a recorded flight says.</summary>
public enum ColumnMeaning
{
    /// <summary>Nothing that is looked at.</summary>
    LeftOut,

    /// <summary>When the row was taken.</summary>
    Time,

    /// <summary>The voltage of the flight battery.</summary>
    Voltage,

    /// <summary>The voltage of one of its cells, or the mean of all.</summary>
    CellVoltage,

    /// <summary>The current out of the flight battery.</summary>
    Current,

    /// <summary>The charge that it gave.</summary>
    ChargeUsed,

    /// <summary>The throttle.</summary>
    Throttle,

    /// <summary>The share of packets that came to the craft.</summary>
    LinkQuality,

    /// <summary>The share of packets that came down.</summary>
    DownLinkQuality,

    /// <summary>The strength at the craft's receiver.</summary>
    Strength,

    /// <summary>The distance home.</summary>
    Distance,

    /// <summary>The height over the place of the start.</summary>
    Height,

    /// <summary>How many satellites the position receiver hears.</summary>
    Satellites,
}
