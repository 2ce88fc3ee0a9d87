namespace Zephyros.Core.Model;

/// <summary>What a sensor measures, as far as the bench can tell it from what is simulated.</summary>
public enum SensorSubject
{
    /// <summary>Something that is set by hand on the bench.</summary>
    Other,

    /// <summary>The share of packets that arrive at the receiver, in percent.</summary>
    LinkQuality,

    /// <summary>The strength of the signal at the receiver, in dBm.</summary>
    Strength,

    /// <summary>The share of telemetry packets that arrive at the transmitter, in percent.</summary>
    DownLinkQuality,

    /// <summary>A voltage: of the flight battery when the board measures it, else of what feeds receiver or transmitter.</summary>
    Voltage,

    /// <summary>The current out of the flight battery, in amperes.</summary>
    Current,

    /// <summary>The charge that was taken out of the flight battery, in milliampere hours.</summary>
    ChargeUsed,

    /// <summary>The height above the place where the board was powered, in metres.</summary>
    Height,

    /// <summary>The distance from there, in metres.</summary>
    Distance,

    /// <summary>The satellites that the position receiver hears.</summary>
    Satellites,
}
