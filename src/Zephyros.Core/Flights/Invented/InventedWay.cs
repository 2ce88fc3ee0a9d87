using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Invented;

/// <summary>Where an invented flight goes, and what becomes of its link there.</summary>
internal sealed class InventedWay
{
    private const double Speed = 9;
    private const double Turn = 120;

    // Behind something, in seconds of flight, and what that takes at most.
    private const double FadeFrom = 95;
    private const double FadeLasts = 24;
    private const double FadeTakes = 19;

    private readonly LinkSettings link;
    private readonly SeededChance chance;
    private readonly bool fades;
    private readonly double farthest;
    private double flown;
    private double shadow;

    public InventedWay(LinkSettings link, SeededChance chance, InventedKind kind)
    {
        (this.link, this.chance, fades) = (link, chance, kind == InventedKind.Fade);
        // As far as leaves a good margin, and not farther than is flown in the time.
        var reach = LinkBudget.PracticalReach(link, new Decibels(16)).Value * 1000;
        farthest = Math.Clamp(reach, 60, Speed * Turn) * (fades ? 1 : 0.3);
    }

    /// <summary>The distance home in metres.</summary>
    public double Distance { get; private set; }

    /// <summary>The height in metres.</summary>
    public double Height { get; private set; }

    /// <summary>The strength at the receiver in dBm.</summary>
    public double Strength { get; private set; }

    /// <summary>The share of packets that come, in percent.</summary>
    public double Quality { get; private set; }

    /// <summary>Goes on for a time in seconds.</summary>
    public void Go(bool flies, double step)
    {
        flown += flies ? step : 0;
        // Out and back again, as on a swing.
        Distance = flies
            ? farthest * (1 - Math.Cos(flown / Turn * Math.PI)) / 2
            : Math.Max(0, Distance - (Speed * step));
        Height = flies ? Math.Min(Height + (2 * step), 45) : Math.Max(0, Height - (3 * step));
        shadow += ((chance.Next() - 0.5) * 0.9) - (shadow * 0.02);
        var point = LinkBudget.PracticalPoint(link, new Kilometres(Math.Max(Distance, 2) / 1000));
        var margin = point.Margin.Value + shadow - Fade();
        Strength = point.Strength.Value + shadow - Fade();
        Quality = Math.Round(LinkBudget.QualityAt(new Decibels(margin)).Value);
    }

    private double Fade()
    {
        var into = (flown - FadeFrom) / FadeLasts;
        return fades && into is > 0 and < 1 ? FadeTakes * Math.Sin(into * Math.PI) : 0;
    }
}
