namespace Zephyros.Core.Flights;

/// <summary>What an alarm warns of.</summary>
public enum AlarmKind
{
    /// <summary>The flight battery.</summary>
    Battery,

    /// <summary>The share of packets that come to the craft.</summary>
    LinkQuality,

    /// <summary>The share of packets that come down.</summary>
    DownLinkQuality,

    /// <summary>The strength at the craft's receiver.</summary>
    Strength,
}
