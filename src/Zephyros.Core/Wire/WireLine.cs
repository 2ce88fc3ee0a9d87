namespace Zephyros.Core.Wire;

/// <summary>A line between a receiver and a board. Not safe for use by several threads.</summary>
public abstract class WireLine
{
    /// <summary>Sends one frame and reads it at the other end.</summary>
    /// <param name="sent">The count of each channel, channel 1 first; as many as the format has channels.</param>
    /// <param name="received">Takes the counts that arrive. A channel that this frame does not carry keeps what it had.</param>
    /// <returns>True when a good frame arrived whose values are fresh.</returns>
    public abstract bool Carry(ReadOnlySpan<int> sent, Span<int> received);

    /// <summary>Another line on which as much was sent.</summary>
    public abstract WireLine Copy();
}
