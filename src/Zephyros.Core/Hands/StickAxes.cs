namespace Zephyros.Core.Hands;

/// <summary>The letter and the name of each axis.</summary>
public static class StickAxes
{
    /// <summary>All four axes, in the order of the letters A, E, T, R.</summary>
    public static IReadOnlyList<StickAxis> All { get; } =
    [StickAxis.Roll, StickAxis.Pitch, StickAxis.Throttle, StickAxis.Yaw];

    /// <summary>The letter of an axis in a channel order.</summary>
    public static char Letter(this StickAxis axis) => "AETR"[(int)axis];

    /// <summary>True when a stick returns to its centre on this axis once it is let go.</summary>
    /// <remarks>Common practice, no source: all but the throttle of a multirotor do.</remarks>
    public static bool Springs(this StickAxis axis) => axis != StickAxis.Throttle;

    /// <summary>The axis as a lower-case word, for sentences.</summary>
    public static string Word(this StickAxis axis) =>
        axis switch
        {
            StickAxis.Roll => "roll",
            StickAxis.Pitch => "pitch",
            StickAxis.Throttle => "throttle",
            StickAxis.Yaw => "yaw",
        };

    /// <summary>The axis of a letter, or null when the letter is none of A, E, T, R.</summary>
    public static StickAxis? FromLetter(char letter) =>
        letter switch
        {
            'A' => StickAxis.Roll,
            'E' => StickAxis.Pitch,
            'T' => StickAxis.Throttle,
            'R' => StickAxis.Yaw,
            _ => null,
        };
}
