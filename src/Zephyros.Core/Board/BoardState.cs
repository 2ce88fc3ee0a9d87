namespace Zephyros.Core.Board;

/// <summary>What the board remembers between two events. The default value is a board without power.</summary>
/// <param name="Powered">True while the craft's battery is connected.</param>
/// <param name="HasSignal">True while good frames arrive.</param>
/// <param name="Armed">True while the motors may turn.</param>
/// <param name="ArmRequested">Whether the last good frame asked for arming.</param>
/// <param name="Standing">A refusal that stands until a good frame shows the arm switch off; <see cref="ArmRefusal.None"/> otherwise.</param>
public readonly record struct BoardState(
    bool Powered,
    bool HasSignal,
    bool Armed,
    bool ArmRequested,
    ArmRefusal Standing
)
{
    /// <summary>A board without power.</summary>
    public static readonly BoardState Off;

    /// <summary>Why the board refuses at this moment, given that the arm switch is on; None when armed or not asked.</summary>
    public ArmRefusal Refusal
    {
        get
        {
            if (!Powered || Armed)
                return ArmRefusal.None;
            if (!HasSignal)
                return ArmRefusal.NoSignal;
            return ArmRequested ? Standing : ArmRefusal.None;
        }
    }
}
