using Zephyros.Core.Units;

namespace Zephyros.Core.Path;

/// <summary>The values along the path at one moment. Made by <see cref="SignalPlan.CreateValues"/>, filled by
/// <see cref="SignalPlan.Evaluate"/>, and used again and again.</summary>
public sealed class SignalValues
{
    internal SignalValues(Percent[] hands, int slots, int sent, int received)
    {
        Hands = hands;
        Slots = new Percent[slots];
        Sent = new Microseconds[sent];
        Counts = new int[received];
        Received = new Microseconds[received];
    }

    /// <summary>The value of each control, in the order of the model plan's controls. The caller moves them.</summary>
    public Percent[] Hands { get; }

    /// <summary>The value after every step of every channel.</summary>
    public Percent[] Slots { get; }

    /// <summary>What the transmitter sends on each of its channels.</summary>
    public Microseconds[] Sent { get; }

    /// <summary>The count of each channel of the wire format.</summary>
    public int[] Counts { get; }

    /// <summary>What each of these counts stands for: what the board receives while frames arrive.</summary>
    public Microseconds[] Received { get; }
}
