using Zephyros.Core.Air;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The way of the packets from transmitter to receiver: at a distance some are lost, by chance that comes from a seed.</summary>
/// <remarks>How many are lost is our own model (<see cref="LinkBudget.QualityAt"/>).</remarks>
internal sealed class RadioWay
{
    private readonly PacketShare share = new();
    private readonly LinkSettings link;
    private readonly PacketLuck luck;
    private TimeSpan next;
    private TimeSpan last;

    /// <summary>A way over no distance, on which nothing is lost.</summary>
    public RadioWay(LinkSettings link)
        : this(link, seed: 1) { }

    private RadioWay(LinkSettings link, ulong seed) => (this.link, luck) = (link, new PacketLuck(seed));

    /// <summary>A way over a distance; nothing was lost so far.</summary>
    /// <param name="link">The link.</param>
    /// <param name="distance">The distance, more than 0.</param>
    /// <param name="now">The time.</param>
    /// <param name="seed">Decides which packets are lost; not 0.</param>
    public RadioWay(LinkSettings link, Kilometres distance, TimeSpan now, ulong seed)
        : this(link, seed)
    {
        At = LinkBudget.Point(link, distance);
        (next, last) = (now, now);
    }

    private RadioWay(RadioWay other)
        : this(other.link, seed: 1)
    {
        (At, Up, luck) = (other.At, other.Up, other.luck.Copy());
        (share, next, last) = (other.share.Copy(), other.next, other.last);
    }

    /// <summary>Another way on which the same packets will be lost.</summary>
    public RadioWay Copy() => new(this);

    /// <summary>What the link is like at the distance; null when there is none.</summary>
    public LinkPoint? At { get; }

    /// <summary>The share of the last hundred packets that arrived.</summary>
    public Percent Quality => At is null ? new Percent(100) : share.Value;

    /// <summary>True until nothing has arrived for so long that the receiver takes the signal for lost.</summary>
    public bool Up { get; private set; } = true;

    /// <summary>Sends the packets that are due.</summary>
    /// <returns>True when one of them arrived.</returns>
    public bool Advance(TimeSpan now)
    {
        if (At is null)
            return true;
        var arrived = false;
        var period = TimeSpan.FromTicks((long)(TimeSpan.TicksPerSecond / link.PacketRate.Value));
        for (; next <= now; next += period)
        {
            var comes = luck.Comes(At.Quality);
            share.Count(comes);
            if (!comes)
                continue;
            last = next;
            arrived = true;
        }

        Up = now - last < link.GivesUp.ToTimeSpan();
        return arrived;
    }
}
