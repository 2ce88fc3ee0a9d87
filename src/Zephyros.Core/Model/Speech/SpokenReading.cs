namespace Zephyros.Core.Model.Speech;

/// <summary>Which reading of a sensor is spoken.</summary>
public enum SpokenReading
{
    /// <summary>The last that came.</summary>
    Now,

    /// <summary>The lowest since the readings were reset.</summary>
    Lowest,

    /// <summary>The highest since then.</summary>
    Highest,
}
