using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>What an axis value makes the craft do.</summary>
/// <remarks>Common practice, no source: throttle up is a larger value, right is larger, stick forward is larger and means nose
/// down; the board takes 1000 to 2000 us for full travel and holds what lies beyond.</remarks>
public static class CraftResponse
{
    private const double HalfTravel = 500;

    /// <summary>The rate of turn that a value commands after the board has scaled it, positive to the right or nose down; held at the board's maximum.</summary>
    public static DegreesPerSecond Rate(FlightBoard board, Microseconds value) =>
        new(Math.Clamp(UnheldRate(board, value).Value, -board.MaximumRate.Value, board.MaximumRate.Value));

    /// <summary>The same rate before it is held at the maximum.</summary>
    public static DegreesPerSecond UnheldRate(FlightBoard board, Microseconds value) =>
        new(Shaped(board, Stick(board, value)) * board.MaximumRate.Value);

    /// <summary>How far a stick is deflected, outside the deadband: -1 to 1, or beyond.</summary>
    public static double Stick(FlightBoard board, Microseconds value) =>
        Beyond(board, value.Value - board.Centre.Value) / HalfTravel;

    /// <summary>The share of the maximum rate that a deflection commands on the board's curve.</summary>
    public static double Shaped(FlightBoard board, double stick)
    {
        var cubed = board.Expo.Value / 100;
        return (stick * (1 - cubed)) + (cubed * stick * stick * stick);
    }

    // What is left of an offset outside the deadband.
    private static double Beyond(FlightBoard board, double offset) =>
        Math.Sign(offset) * Math.Max(0, Math.Abs(offset) - board.Deadband.Value);

    /// <summary>The share of throttle travel that a value commands, 0 to 100 %.</summary>
    public static Percent Throttle(Microseconds value) => new(Math.Clamp((value.Value - 1000) / 10, 0, 100));

    /// <summary>The direction in which an axis moves the craft at a rate: "right", "nose down"; empty when it does not move.</summary>
    public static string Direction(StickAxis axis, DegreesPerSecond rate)
    {
        if (Math.Round(rate.Value) == 0)
            return "";
        var (high, low) = axis == StickAxis.Pitch ? ("nose down", "nose up") : ("right", "left");
        return rate.Value > 0 ? high : low;
    }

    /// <summary>What the craft would do, as the end of a sentence: "roll left at full rate (500 °/s)".</summary>
    public static string Describe(FlightBoard board, StickAxis axis, Microseconds value)
    {
        if (axis == StickAxis.Throttle)
            return $"get {Figures.Plain(Throttle(value).Value, 0)} % throttle";
        var rate = Rate(board, value);
        if (Math.Round(rate.Value) == 0)
            return $"not {axis.Word()}";
        var full = Math.Abs(rate.Value) >= board.MaximumRate.Value * 0.97;
        var speed = new DegreesPerSecond(Math.Abs(rate.Value));
        return $"{axis.Word()} {Direction(axis, rate)} at {(full ? "full rate, " : "")}{speed}";
    }
}
