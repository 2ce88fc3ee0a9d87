namespace Zephyros.Core.Loss;

/// <summary>What happens when the signal comes back while all hands stand where they stood.</summary>
public enum ReturnOutcome
{
    /// <summary>The board has noticed nothing.</summary>
    NotNoticed,

    /// <summary>The pilot has the craft again as it was; the board had only waited.</summary>
    Resumed,

    /// <summary>The motors had been taken back, and the raised throttle is thrown at the craft.</summary>
    ThrottleThrown,

    /// <summary>A landing or a return is broken off, and the raised throttle is thrown at the craft.</summary>
    BrokenOff,

    /// <summary>The board goes on flying by itself until a stick is moved.</summary>
    FliesOn,

    /// <summary>The motors stay off; the arm switch must be put off and on.</summary>
    MustCycle,

    /// <summary>The motors start again by themselves.</summary>
    ArmedAgain,

    /// <summary>The motors are off and nothing asks for them.</summary>
    StaysOff,
}
