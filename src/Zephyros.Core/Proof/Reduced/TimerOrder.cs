using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof.Reduced;

/// <summary>For each time that the board counts: how many of the waits of the model, in the order in which they began, began before it.
/// The lengths then decide what ends first: a wait of 0.4 s that began before a calibration of 3 s is over before it.</summary>
/// <remarks>Among the board's own times, every order is allowed.</remarks>
internal sealed class TimerOrder
{
    /// <summary>In the place of a timer that has just begun, until <see cref="After"/> puts it in order.</summary>
    public const int Begun = 15;

    private const int Bits = 4;

    private static readonly BoardTimer[] Timers = Enum.GetValues<BoardTimer>();

    private readonly ReducedMemory memory;
    private readonly double?[] lengths;
    private readonly double slack;

    /// <summary>Gets ready.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="memory">The memories of the model.</param>
    public TimerOrder(SignalPlan plan, ReducedMemory memory)
    {
        this.memory = memory;
        lengths = [.. Timers.Select(t => plan.Board.Duration(t)?.Value)];
        // The board sees with the next frames what the model has done, and the model what has ended when it is run next.
        var frames = (2 + plan.Wire.FramesForAll) * plan.Setup.Wire.FramePeriod.Value;
        slack = frames + BenchTransmitter.ModelPeriod.TotalMilliseconds + 1;
        Matters = memory.CountsTime;
    }

    /// <summary>True when the model counts any time.</summary>
    public bool Matters { get; }

    /// <summary>The order after a step, with those that have just begun after everything that waits.</summary>
    /// <param name="order">The order, with <see cref="Begun"/> where a timer has just begun.</param>
    /// <param name="before">The number of the memory before the step.</param>
    /// <param name="after">The number of the memory after it.</param>
    public int After(int order, int before, int after)
    {
        var made = 0;
        foreach (var timer in Timers)
        {
            var place = Place(order, timer);
            if (place == Begun)
                place = 1 + memory.Began(after);
            else if (place > 0 && before != after)
                place = 1 + memory.StillBefore(before, after, place - 1);
            made |= place << (Bits * (int)timer);
        }

        return made;
    }

    /// <summary>The order in which a timer has just begun, or runs no more, and the others stay.</summary>
    public static int With(int order, BoardTimer timer, int place) =>
        (order & ~(Begun << (Bits * (int)timer))) | (place << (Bits * (int)timer));

    /// <summary>The place of a timer: 0 when it does not run, otherwise one more than the waits that began before it.</summary>
    public static int Place(int order, BoardTimer timer) => order >> (Bits * (int)timer) & Begun;

    /// <summary>True when a timer can come to its end before anything of the model does.</summary>
    public bool MayEnd(int order, BoardTimer timer, int memoryNow)
    {
        if (!Matters || Place(order, timer) is var place && place == 0 || lengths[(int)timer] is not { } length)
            return true;
        foreach (var (part, rank) in memory.Waiting(memoryNow))
            if (rank < place && memory.Length(memoryNow, part) + slack <= length)
                return false;
        return true;
    }

    /// <summary>True when parts of the model can come to their end before any timer of the board does.</summary>
    public bool MayEnd(int order, ulong ending, int memoryNow)
    {
        if (order == 0)
            return true;
        foreach (var (part, rank) in memory.Waiting(memoryNow))
        foreach (var timer in Timers)
            if (
                (ending >> part & 1) != 0
                && Place(order, timer) is > 0 and var place
                && rank >= place
                && lengths[(int)timer] is { } length
                && length + slack <= memory.Length(memoryNow, part)
            )
                return false;
        return true;
    }
}
