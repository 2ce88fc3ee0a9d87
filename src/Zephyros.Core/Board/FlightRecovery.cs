namespace Zephyros.Core.Board;

/// <summary>When the pilot gets the craft back from a landing or a return that a lost signal began.</summary>
public enum FlightRecovery
{
    /// <summary>With the first good frame.</summary>
    AtOnce,

    /// <summary>When roll, pitch or yaw is deflected after frames are back.</summary>
    StickMoved,
}
