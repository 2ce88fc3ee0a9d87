namespace Zephyros.Core.Model;

/// <summary>What a sensor measures, as far as the bench can tell it from what is simulated.</summary>
public enum SensorSubject
{
    /// <summary>Something that is set by hand on the bench.</summary>
    Other,

    /// <summary>The share of packets that arrive, in percent.</summary>
    LinkQuality,

    /// <summary>The strength of the signal at the receiver, in dBm.</summary>
    Strength,
}
