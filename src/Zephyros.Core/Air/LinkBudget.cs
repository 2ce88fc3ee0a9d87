using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>How far a radio link should reach: power and gains less the loss on the way, against what the receiver still understands.</summary>
/// <remarks>Free space, less what a range check found that ground, trees and bodies take. What is left in decibels is the margin. That a packet is
/// lost with the probability 1/(1 + e^(margin/1.5 dB)) is our own model; no published law ties link quality to margin.</remarks>
public sealed record LinkBudget
{
    [Figure(
        Station.Air,
        "The speed of light",
        ProvenanceKind.Published,
        Unit = "m/s",
        Source = "The International System of Units (BIPM)",
        Place = "9th edition, 2.2",
        Note = "exact, it defines the metre"
    )]
    private const double SpeedOfLight = 299_792_458;

    [Figure(
        Station.Air,
        "How fast packets are lost about the end of the range: one step of the logistic curve",
        ProvenanceKind.OwnAssumption,
        Unit = "dB"
    )]
    private const double Spread = 1.5;

    [Figure(
        Station.Air,
        "Where no range check was made, the surroundings are taken to cost",
        ProvenanceKind.OwnAssumption,
        Note = "a tenth of the distance in free space"
    )]
    private static readonly Decibels UsualAllowance = new(20);

    private const int Points = 61;
    private const double Nearest = 0.01;

    [Figure(Station.Air, "A receiver at 50 packets a second still understands", ProvenanceKind.FromMemory, Note = At24)]
    private static readonly DecibelMilliwatts At50 = new(-115);

    [Figure(
        Station.Air,
        "A receiver at 150 packets a second still understands",
        ProvenanceKind.FromMemory,
        Note = At24
    )]
    private static readonly DecibelMilliwatts At150 = new(-112);

    [Figure(
        Station.Air,
        "A receiver at 250 packets a second still understands",
        ProvenanceKind.FromMemory,
        Note = At24
    )]
    private static readonly DecibelMilliwatts At250 = new(-108);

    [Figure(
        Station.Air,
        "A receiver at 500 packets a second still understands",
        ProvenanceKind.FromMemory,
        Note = At24
    )]
    private static readonly DecibelMilliwatts At500 = new(-105);

    private const string At24 = "at 2.4 GHz; in between by the logarithm of the rate";

    private static readonly (double Hertz, double DBm)[] UsualSensitivities =
    [
        (50, At50.Value),
        (150, At150.Value),
        (250, At250.Value),
        (500, At500.Value),
    ];

    /// <summary>What leaves the transmitter's antenna connector.</summary>
    public required DecibelMilliwatts Power { get; init; }

    /// <summary>The weakest signal that the receiver still understands.</summary>
    public required DecibelMilliwatts Sensitivity { get; init; }

    /// <summary>True when that is the usual figure at the packet rate, from memory.</summary>
    public required bool IsUsualSensitivity { get; init; }

    /// <summary>The margin over distance, near to far.</summary>
    public required IReadOnlyList<LinkPoint> Course { get; init; }

    /// <summary>Where the first warning comes.</summary>
    public required LinkPoint Warning { get; init; }

    /// <summary>Where the urgent warning comes.</summary>
    public required LinkPoint Urgent { get; init; }

    /// <summary>How far the first warning is to be reckoned with; the same as <see cref="Warning"/> once a range check was made.</summary>
    public required Kilometres Practical { get; init; }

    /// <summary>Where no margin is left; by our model half of the packets arrive there.</summary>
    public required LinkPoint Half { get; init; }

    /// <summary>Works out the budget of a link.</summary>
    public static LinkBudget Of(LinkSettings link)
    {
        var (power, sensitivity) = Ends(link);
        LinkPoint At(double kilometres) => Point(link, new Kilometres(kilometres));
        LinkPoint Where(Percent quality) => At(Reach(link, MarginAt(quality)).Value);
        var (warning, urgent) = (Where(link.WarnBelow), Where(link.UrgentBelow));
        var farthest = Math.Max(urgent.Distance.Value * 2, Nearest * 10);
        return new LinkBudget
        {
            Power = power,
            Sensitivity = sensitivity,
            IsUsualSensitivity = link.Sensitivity is null,
            Warning = warning,
            Urgent = urgent,
            Practical = PracticalReach(link, MarginAt(link.WarnBelow)),
            Half = Where(new Percent(50)),
            Course =
            [
                .. Enumerable
                    .Range(0, Points)
                    .Select(i => At(Nearest * Math.Pow(farthest / Nearest, i / (Points - 1.0)))),
            ],
        };
    }

    /// <summary>The loss in free space, ITU-R P.525: 20 log10(4 pi d f / c). Doubling the distance costs 6.02 dB.</summary>
    /// <param name="frequency">The frequency.</param>
    /// <param name="distance">The distance, more than 0.</param>
    public static Decibels FreeSpaceLoss(Megahertz frequency, Kilometres distance) =>
        new(20 * Math.Log10(4 * Math.PI * distance.Value * 1e3 * frequency.Value * 1e6 / SpeedOfLight));

    /// <summary>The share of packets that arrive with a margin, by our own model.</summary>
    public static Percent QualityAt(Decibels margin) => new(100 - (100 / (1 + Math.Exp(margin.Value / Spread))));

    /// <summary>The margin at which a share of the packets arrives, by our own model.</summary>
    /// <param name="quality">More than 0 and less than 100 %.</param>
    public static Decibels MarginAt(Percent quality) => new(Spread * Math.Log(quality.Value / (100 - quality.Value)));

    /// <summary>The usual sensitivity at a packet rate, from memory.</summary>
    public static DecibelMilliwatts Usual(Hertz rate)
    {
        var table = UsualSensitivities;
        var at = Math.Clamp(rate.Value, table[0].Hertz, table[^1].Hertz);
        var i = 1;
        while (table[i].Hertz < at)
            i++;
        var (low, high) = (table[i - 1], table[i]);
        var share = Math.Log(at / low.Hertz) / Math.Log(high.Hertz / low.Hertz);
        return new DecibelMilliwatts(low.DBm + (share * (high.DBm - low.DBm)));
    }

    /// <summary>The weakest signal that the receiver of a link still understands: its own figure, or the usual one.</summary>
    public static DecibelMilliwatts SensitivityOf(LinkSettings link) => link.Sensitivity ?? Usual(link.PacketRate);

    /// <summary>What a link is like at a distance.</summary>
    /// <param name="link">The link.</param>
    /// <param name="distance">The distance, more than 0.</param>
    public static LinkPoint Point(LinkSettings link, Kilometres distance)
    {
        var (power, sensitivity) = Ends(link);
        var strength =
            power.Value
            + link.AntennaGains.Value
            - FreeSpaceLoss(link.Frequency, distance).Value
            - (link.Allowance?.Value ?? 0);
        var margin = new Decibels(strength - sensitivity.Value);
        return new LinkPoint(distance, margin, new DecibelMilliwatts(strength), QualityAt(margin));
    }

    private static (DecibelMilliwatts Power, DecibelMilliwatts Sensitivity) Ends(LinkSettings link) =>
        (new DecibelMilliwatts(10 * Math.Log10(link.Power.Value)), SensitivityOf(link));

    /// <summary>The distance at which a margin is left: with what a range check measured, else in free space.</summary>
    public static Kilometres Reach(LinkSettings link, Decibels margin)
    {
        var (power, sensitivity) = Ends(link);
        return new(
            Distance(
                link,
                power.Value + link.AntennaGains.Value - sensitivity.Value - margin.Value - (link.Allowance?.Value ?? 0)
            )
        );
    }

    /// <summary>The same as it is to be reckoned with: where no range check was made, the surroundings take their usual share.</summary>
    public static Kilometres PracticalReach(LinkSettings link, Decibels margin) => Reach(Reckoned(link), margin);

    /// <summary>What a link is to be reckoned with at a distance, more than 0, with the same share.</summary>
    public static LinkPoint PracticalPoint(LinkSettings link, Kilometres distance) => Point(Reckoned(link), distance);

    private static LinkSettings Reckoned(LinkSettings link) =>
        link.Allowance is null ? link with { Allowance = UsualAllowance } : link;

    /// <summary>What the surroundings cost when a range check found a margin's distance shorter than free space has it: 20 log10 of the
    /// ratio.</summary>
    /// <param name="link">The link, with the power of the check.</param>
    /// <param name="margin">The margin at the place.</param>
    /// <param name="measured">The distance there, more than 0.</param>
    /// <returns>0 where it was farther than free space: the figures of the link are wrong then.</returns>
    public static Decibels AllowanceOf(LinkSettings link, Decibels margin, Kilometres measured)
    {
        var computed = Reach(link with { Allowance = null }, margin);
        return new(Math.Max(0, 20 * Math.Log10(computed.Value / measured.Value)));
    }

    // The distance at which free space loses so many decibels.
    private static double Distance(LinkSettings link, double loss) =>
        Math.Pow(10, loss / 20) * SpeedOfLight / (4 * Math.PI * link.Frequency.Value * 1e6) / 1e3;
}
