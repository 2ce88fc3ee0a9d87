using Zephyros.Core.Board;

namespace Zephyros.Core.Tests.Board;

/// <summary>The state of a board as a word of a table: "stands", "idles/grace", "stands?!ThrottleNotLow", "thrusts+flown".</summary>
/// <remarks>First what the motors do: "stands" is disarmed with motors off, "armed" is armed with motors off, "spins" disarmed with motors
/// idling, which must not be; "lies", "rights" and "turns" are off, idle and thrust while it turns over; "off" has no power. After a stroke
/// the signal, when it is not good; a question mark when the arm switch says otherwise; after an exclamation mark what refuses; after a
/// plus sign what else is so.</remarks>
internal static class BoardWords
{
    private static readonly Dictionary<string, (bool Armed, bool Rights, MotorLevel Motors)> Motors = new(
        StringComparer.Ordinal
    )
    {
        ["stands"] = (false, false, MotorLevel.Off),
        ["spins"] = (false, false, MotorLevel.Idle),
        ["armed"] = (true, false, MotorLevel.Off),
        ["idles"] = (true, false, MotorLevel.Idle),
        ["steers"] = (true, false, MotorLevel.IdleWithControl),
        ["thrusts"] = (true, false, MotorLevel.Thrust),
        ["lies"] = (true, true, MotorLevel.Off),
        ["rights"] = (true, true, MotorLevel.Idle),
        ["turns"] = (true, true, MotorLevel.Thrust),
    };

    /// <summary>The state that a word tells; what it cannot tell is as in a board without power.</summary>
    public static BoardState Read(string word)
    {
        if (word == "off")
            return BoardState.Off;
        var (motors, signal, asks, refusal, rest) = Parts(word);
        var (armed, rights, level) = Motors[motors];
        return new BoardState(true, signal, armed, armed != asks, refusal, level) with
        {
            ForSelfRight = rights,
            Calibrating = rest.Contains("calibrating"),
            LowForLong = rest.Contains("long"),
            Flown = rest.Contains("flown"),
        };
    }

    /// <summary>The word for a state.</summary>
    public static string Tell(BoardState state)
    {
        if (!state.Powered)
            return "off";
        var motors = Motors.FirstOrDefault(m => m.Value == (state.Armed, state.ForSelfRight, state.Motors)).Key;
        return (motors ?? "what must not be")
            + (state.Signal == BoardSignal.Good ? "" : $"/{state.Signal.ToString().ToLowerInvariant()}")
            + (state.ArmRequested == state.Armed ? "" : "?")
            + (state.Standing == ArmRefusal.None ? "" : $"!{state.Standing}")
            + (state.Calibrating ? "+calibrating" : "")
            + (state.LowForLong ? "+long" : "")
            + (state.Flown ? "+flown" : "");
    }

    private static (string Motors, BoardSignal Signal, bool Asks, ArmRefusal Refusal, string[] Also) Parts(string word)
    {
        var plus = word.Split('+');
        var refused = plus[0].Split('!');
        var asks = refused[0].EndsWith('?');
        var signal = refused[0].TrimEnd('?').Split('/');
        return (
            signal[0],
            signal.Length > 1 ? Enum.Parse<BoardSignal>(signal[1], ignoreCase: true) : BoardSignal.Good,
            asks,
            refused.Length > 1 ? Enum.Parse<ArmRefusal>(refused[1]) : ArmRefusal.None,
            plus[1..]
        );
    }
}
