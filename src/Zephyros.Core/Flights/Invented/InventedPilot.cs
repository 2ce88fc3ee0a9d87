using Zephyros.Core.Bench;

namespace Zephyros.Core.Flights.Invented;

/// <summary>What the hand of an invented pilot does with the throttle: it hovers about some middle, and gives bursts.</summary>
internal sealed class InventedPilot(SeededChance chance, InventedKind kind)
{
    private readonly bool calm = kind == InventedKind.Fade;
    private double wander;
    private double nextBurst = 15;
    private double burstEnds;

    /// <summary>The throttle in percent at a time in seconds, which rises from call to call.</summary>
    public double Throttle(double time)
    {
        wander += (chance.Next() - 0.5 - (wander * 0.02)) * (calm ? 1.5 : 4);
        if (time >= nextBurst)
        {
            burstEnds = time + 0.6 + (chance.Next() * (calm ? 0.6 : 2.2));
            nextBurst = burstEnds + 3 + (chance.Next() * (calm ? 60 : 18));
        }

        return Math.Clamp(
            (
                time < burstEnds ? 92
                : calm ? 38
                : 46
            ) + wander,
            12,
            100
        );
    }
}
