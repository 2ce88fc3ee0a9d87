using Zephyros.Core.Units;

namespace Zephyros.Core.Path.Trace;

/// <summary>What is on its way from transmitter to board: the last packet that got to the receiver, and the last frame on its wire. Both are
/// older than what the model gives now.</summary>
/// <param name="Sent">What the transmitter sent in that packet, channel 1 first; null before the first one.</param>
/// <param name="Counts">The counts of that frame, channel 1 first; null before the first one.</param>
/// <param name="Packets">True while packets get to the receiver.</param>
/// <param name="WhySilent">Why no frames go out on the wire, in words; empty while they do.</param>
public sealed record OnTheWay(
    IReadOnlyList<Microseconds>? Sent,
    IReadOnlyList<int>? Counts,
    bool Packets,
    string WhySilent
);
