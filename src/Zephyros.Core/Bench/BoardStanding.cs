namespace Zephyros.Core.Bench;

/// <summary>What the board says, in one word.</summary>
public enum BoardStanding
{
    /// <summary>The craft has no power.</summary>
    Unpowered,

    /// <summary>No good frames arrive.</summary>
    NoSignal,

    /// <summary>Disarmed, and the arm switch would arm it now.</summary>
    Ready,

    /// <summary>Disarmed, and the arm switch would be refused now.</summary>
    NotReady,

    /// <summary>The arm switch is on and the board refuses.</summary>
    Refused,

    /// <summary>Armed.</summary>
    Armed,
}
