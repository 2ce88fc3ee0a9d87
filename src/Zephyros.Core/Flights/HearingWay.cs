namespace Zephyros.Core.Flights;

/// <summary>Where a flight was recorded, and so how its readings come to the transmitter.</summary>
public enum HearingWay
{
    /// <summary>By its rows: what comes oftener than telemetry would was recorded at the craft.</summary>
    ByRows,

    /// <summary>At the transmitter: each row is what it heard then.</summary>
    AtTransmitter,

    /// <summary>At the craft: of its rows the transmitter hears what telemetry brings down, as often as that comes.</summary>
    AtCraft,
}
