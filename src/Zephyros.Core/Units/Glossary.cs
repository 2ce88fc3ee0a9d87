namespace Zephyros.Core.Units;

/// <summary>The field's words, along the path of the signal: explained where they stand, found by any of their names, and written down in
/// docs/trade/words.md.</summary>
public static class Glossary
{
    /// <summary>All words.</summary>
    public static IReadOnlyList<TradeWord> All { get; } =
    [
        new("stick mode", "Which stick carries throttle and yaw, and which pitch and roll: modes 1 to 4.", []),
        new(
            "switch, position",
            "A lever with two or more settings; a button has one that is held.",
            ["detent", "toggle"]
        ),
        new("safe end", "The position to which a switch is thrown in a panic.", ["off position"]),
        new("channel", "One value that is sent, numbered from 1; the first four carry the sticks.", []),
        new("AUX n", "The board's name of channel n + 4.", ["auxiliary", "aux channel"]),
        new(
            "chain",
            "The steps from a source to a channel: scale, curve, add, limit, slow down, switch over.",
            ["mix", "mixer"]
        ),
        new("override", "A value that replaces a channel's while a condition holds.", ["force"]),
        new(
            "condition",
            "Something that holds or does not: a position, a value past a limit, telemetry lost, and combinations.",
            ["logic"]
        ),
        new("latch", "A condition that stays once set, until it is cleared.", []),
        new(
            "flight state",
            "A set of values that one combination of switches puts into force at once.",
            ["flight mode", "rates"]
        ),
        new(
            "ends, centre",
            "How far a channel goes either way, and where it rests.",
            ["endpoints", "subtrim", "travel"]
        ),
        new(
            "link",
            "The radio between transmitter and receiver; it carries so many channels with so many steps, so many packets a second.",
            []
        ),
        new("bind", "To make transmitter and receiver know each other.", ["pair", "pairing"]),
        new(
            "hold, preset, silence",
            "What a receiver does without a signal: repeat the last values, send set ones, or nothing.",
            ["failsafe"]
        ),
        new("frame", "One set of channel values on the wire from receiver to board.", ["packet", "protocol"]),
        new("count", "The whole number that stands for a value in a frame.", []),
        new("span", "What the board is told that a stick sends from end to end.", ["calibration"]),
        new(
            "band",
            "The range of values in which a function of the board is on; the upper edge does not belong to it.",
            ["range"]
        ),
        new("wander", "How far a value moves by itself.", ["jitter", "noise"]),
        new("guard", "What a board asks for before it arms.", ["arming check"]),
        new("throttle low", "The throttle below the limit under which a board arms.", ["idle"]),
        new(
            "activation limit",
            "The throttle value above which a board's controller becomes active after arming in two stages.",
            []
        ),
        new(
            "loss procedure",
            "What a board does once it knows that the signal is lost: drop, land, return.",
            ["failsafe", "return to home", "drop"]
        ),
        new(
            "promise",
            "A sentence about what must never happen, proven over all sequences of movements.",
            ["property", "invariant"]
        ),
        new("finding", "Something wrong with a setup, with its place, reason and fixes.", ["warning", "error", "lint"]),
        new(
            "evidence",
            "What was done or seen at the bench, with its day: stored, read back, tried, measured or bound.",
            ["record", "proof of work"]
        ),
        new("stale", "Said of evidence when something that it rests on was changed since.", ["outdated"]),
        new("to arm", "To let the motors be driven; to disarm is to stop them.", ["arming"]),
        new(
            "refusal",
            "That the board does not arm, and says why; it may stand until the arm switch was off.",
            ["arming prevented", "will not arm"]
        ),
        new(
            "power-on check",
            "What the transmitter asks of switches and sticks before it sends anything.",
            ["startup warning", "switch warning"]
        ),
    ];
}
