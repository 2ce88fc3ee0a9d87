namespace Zephyros.Core.Board;

/// <summary>What the board remembers between two events. The default value is a board without power.</summary>
/// <param name="Powered">True while the craft's battery is connected.</param>
/// <param name="Signal">How it stands towards its signal.</param>
/// <param name="Armed">True while the motors may turn.</param>
/// <param name="ArmRequested">Whether the last good frame asked for arming.</param>
/// <param name="Standing">A refusal that stands until a good frame shows the arm switch off; <see cref="ArmRefusal.None"/> otherwise.</param>
/// <param name="Motors">What the motors do.</param>
public readonly record struct BoardState(
    bool Powered,
    BoardSignal Signal,
    bool Armed,
    bool ArmRequested,
    ArmRefusal Standing,
    MotorLevel Motors
)
{
    /// <summary>A board without power.</summary>
    public static readonly BoardState Off;

    /// <summary>True until the sensors are calibrated after power-up.</summary>
    public bool Calibrating { get; init; }

    /// <summary>True when it was armed to turn the craft over; until the throttle is seen low without that function.</summary>
    public bool ForSelfRight { get; init; }

    /// <summary>Whether the throttle was low in the last good frame.</summary>
    public bool ThrottleLow { get; init; }

    /// <summary>True when the throttle has been low for so long, armed, that a loss means a craft on the ground.</summary>
    public bool LowForLong { get; init; }

    /// <summary>True when the motors were at thrust since it was armed; only kept where <see cref="LossSettings.FlownOnly"/> asks.</summary>
    public bool Flown { get; init; }

    /// <summary>True while good frames arrive and the pilot commands.</summary>
    public bool HasSignal => Signal == BoardSignal.Good;

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
