namespace Zephyros.Core.Path.Trace;

/// <summary>How a followed value fares at a station.</summary>
public enum TraceMark
{
    /// <summary>It passes as it should.</summary>
    Live,

    /// <summary>It goes wrong here, or has gone wrong before.</summary>
    Wrong,

    /// <summary>It does not get this far.</summary>
    Ended,
}
