using Zephyros.Core.Air;
using Zephyros.Core.Return;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The way of telemetry from the craft down to the transmitter: packets with times and losses of their own, and when the
/// transmitter misses them.</summary>
internal sealed class BenchDownLink
{
    private readonly PacketLuck luck;
    private readonly PacketShare share;
    private LinkSettings link;
    private TimeSpan last;
    private bool missed;
    private bool? decided;

    /// <summary>A down-link on which the last packet has just come, or, where there is none, never did.</summary>
    public BenchDownLink(LinkSettings link, TimeSpan now)
    {
        // Other losses than those of the packets that go up.
        (this.link, luck, share) = (link, new PacketLuck(seed: 2), new PacketShare());
        (missed, last, NextPacket) = (!link.Telemetry, now, now + Interval);
    }

    private BenchDownLink(BenchDownLink other)
    {
        (luck, share, link, Turn) = (other.luck.Copy(), other.share.Copy(), other.link, other.Turn);
        (last, missed, decided, NextPacket) = (other.last, other.missed, other.decided, other.NextPacket);
    }

    /// <summary>Another down-link on which the same packets will be lost.</summary>
    public BenchDownLink Copy() => new(this);

    private TimeSpan Interval => ReturnPlan.IntervalOf(link);

    /// <summary>How many packets were sent; it says which message of the board the next one brings.</summary>
    public long Turn { get; private set; }

    /// <summary>The share of the last packets that came.</summary>
    public Percent Quality => share.Value;

    /// <summary>When a packet is sent next, whether it comes or not.</summary>
    public TimeSpan NextPacket { get; private set; }

    /// <summary>When the transmitter will miss telemetry if no packet comes until then; <see cref="TimeSpan.MaxValue"/> while it does.</summary>
    public TimeSpan NextMiss =>
        missed || decided is not null ? TimeSpan.MaxValue : last + ReturnPlan.MissedAfter(Interval);

    /// <summary>True while the transmitter misses telemetry.</summary>
    public bool Missed => decided ?? missed;

    /// <summary>Takes another revision of the link.</summary>
    public void Replace(LinkSettings next, TimeSpan now)
    {
        if (SetupJson.Same(link, next))
            return;
        link = next;
        NextPacket = now + Interval;
        missed |= !link.Telemetry;
    }

    /// <summary>Sends the packet that is due.</summary>
    /// <param name="open">True while the craft sends, and nothing blocks the way.</param>
    /// <param name="quality">The share of packets that come.</param>
    /// <returns>True when it comes to the transmitter.</returns>
    public bool Send(bool open, Percent quality)
    {
        var now = NextPacket;
        NextPacket += Interval;
        Turn++;
        var comes = open && decided != true && luck.Comes(quality);
        share.Count(comes);
        if (comes)
            (missed, last) = (false, now);
        return comes;
    }

    /// <summary>The transmitter misses telemetry from now on: nothing came for too long, or it was switched on just now.</summary>
    public void Miss() => missed = true;

    /// <summary>Decides from outside whether telemetry is missed, as a sequence of a proof does; null to let packets decide again.</summary>
    public void Decide(bool? missed, TimeSpan now)
    {
        if (decided is { } before && missed is null)
            (this.missed, last) = (before, now);
        decided = missed;
    }
}
