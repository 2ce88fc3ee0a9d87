namespace Zephyros.Core.Board;

/// <summary>What the board makes of the channel values of one good frame: one bit for every comparison. What the bits mean is for
/// <see cref="BoardPlan"/> to say.</summary>
/// <param name="Bits">The bits.</param>
public readonly record struct BoardView(ulong Bits)
{
    /// <summary>The throttle lies below the throttle-low limit.</summary>
    public const ulong LowBit = 1;

    /// <summary>The throttle lies above the activation limit, or is not low where the board has none.</summary>
    public const ulong ThrustBit = 2;

    /// <summary>Roll, pitch or yaw is deflected.</summary>
    public const ulong DeflectedBit = 4;

    /// <summary>The throttle asks for thrust that a hand would feel: see <see cref="BoardPlan.NoticeableThrust"/>.</summary>
    public const ulong WellUpBit = 8;

    /// <summary>The place of the first function's bit; one for each function follows, in the order of their ids.</summary>
    public const int FirstFunction = 8;

    /// <summary>True when any of the bits is set.</summary>
    public bool Has(ulong bits) => (Bits & bits) != 0;
}
