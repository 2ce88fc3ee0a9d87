namespace Zephyros.Core.Units;

/// <summary>How many microseconds a transmitter puts on one percent.</summary>
/// <remarks>Common practice, no source.</remarks>
public enum PulseScale
{
    /// <summary>100 % is 512 us either side of 1500: 988 to 2012.</summary>
    Wide,

    /// <summary>100 % is 400 us either side of 1500: 1100 to 1900.</summary>
    Narrow,

    /// <summary>100 % is 500 us either side of 1500: 1000 to 2000.</summary>
    Even,
}
