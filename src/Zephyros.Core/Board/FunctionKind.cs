namespace Zephyros.Core.Board;

/// <summary>What a board function does. In this version the board on the bench acts on arming only; the others are shown when they are active.</summary>
public enum FunctionKind
{
    /// <summary>Arms the motors.</summary>
    Arm,

    /// <summary>A second control that must agree before the board arms.</summary>
    ArmConsent,

    /// <summary>Holds the motors at idle or off while armed.</summary>
    ThrottleCut,

    /// <summary>Levels itself when the sticks are let go.</summary>
    SelfLevel,

    /// <summary>Levels itself near the middle, turns freely at the ends.</summary>
    BlendedLevel,

    /// <summary>The controller works at zero throttle too.</summary>
    ZeroThrottleStabilisation,

    /// <summary>Flies home.</summary>
    ReturnHome,

    /// <summary>Holds its position.</summary>
    PositionHold,

    /// <summary>Keeps course and height.</summary>
    Cruise,

    /// <summary>Passes the sticks to the outputs.</summary>
    Manual,

    /// <summary>Sounds the locator beeper.</summary>
    Beeper,

    /// <summary>Turns itself over after a crash.</summary>
    SelfRight,

    /// <summary>Records the flight data.</summary>
    Recorder,

    /// <summary>Moves or chooses a camera.</summary>
    Camera,

    /// <summary>Changes the page in the goggles.</summary>
    DisplayPage,

    /// <summary>Trims by itself.</summary>
    AutomaticTrim,

    /// <summary>Tunes by itself.</summary>
    AutomaticTune,

    /// <summary>Runs the signal-loss procedure on purpose.</summary>
    LossProcedure,

    /// <summary>Shows the signal quality that the channel carries.</summary>
    SignalQuality,

    /// <summary>A function of the pilot's own.</summary>
    Own,
}
