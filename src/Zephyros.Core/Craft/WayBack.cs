using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>The way that a board flies home by itself after a loss: up, home against the wind, and down.</summary>
/// <param name="Climbs">How long it climbs.</param>
/// <param name="Flies">How long it flies home; null where the wind is not slower than the craft: it never comes home.</param>
/// <param name="Lands">How long it comes down.</param>
/// <param name="Current">What flows meanwhile; null while neither a battery nor a way home is written down.</param>
/// <param name="Capacity">What a full battery holds; null while it is not written down.</param>
public sealed record WayBack(
    TimeSpan Climbs,
    TimeSpan? Flies,
    TimeSpan Lands,
    Amperes? Current,
    MilliampHours? Capacity
)
{
    // The throttle of a craft that holds its height while it flies.
    [Figure(Station.Board, "A craft that flies home by itself has a throttle of", ProvenanceKind.OwnAssumption)]
    private static readonly Percent Throttle = new(50);

    /// <summary>Works it out.</summary>
    /// <param name="craft">The craft and its battery.</param>
    /// <param name="settings">How its board flies home.</param>
    /// <param name="flight">The flight at the loss.</param>
    /// <param name="distance">How far home is when the return begins.</param>
    public static WayBack Of(CraftDescription craft, ReturnSettings settings, FlightAtLoss flight, Metres distance)
    {
        var up = (settings.Height - flight.Height).AtLeast(default);
        var over = settings.Speed - flight.Wind;
        return new WayBack(
            TimeSpan.FromSeconds(up.Value / settings.Climb.Value),
            over > default(MetresPerSecond) ? TimeSpan.FromSeconds(distance.Value / over.Value) : null,
            TimeSpan.FromSeconds((flight.Height + up).Value / flight.Descent.Value),
            craft.WayHome?.Current ?? BatteryModel.Of(craft)?.Current(MotorLevel.Thrust, Throttle),
            craft.Battery?.Capacity
        );
    }

    /// <summary>How long all of it takes; null when it never comes home.</summary>
    public TimeSpan? Takes => Climbs + Flies + Lands;

    /// <summary>The charge that goes out meanwhile; null where the current is not known, or it never comes home.</summary>
    public MilliampHours? Needs =>
        Takes is { } time && Current is { } current ? BatteryModel.Taken(current, time) : null;

    /// <summary>The share of a full battery that is; above 100 % no battery is enough.</summary>
    public Percent? Share =>
        Needs is { } charge && Capacity is { } full ? new Percent(100 * charge.Value / full.Value) : null;

    /// <summary>What it takes, in a sentence.</summary>
    public string Charged =>
        Takes is not { } time ? "Against this wind it never comes home."
        : Needs is not { } charge ? $"The way home takes {Words(time)}, and of a battery nothing is written down."
        : Share is not { } share ? $"The way home takes {Words(time)} and {Words(charge)}."
        : share.Value > 100
            ? $"The way home takes {Words(time)} and {Words(charge)}, more than a full battery has: it comes down on the way."
        : $"The way home takes {Words(time)} and {Words(charge)}: {Figures.Plain(share.Value, 0)} % of a full battery.";

    private static string Words(TimeSpan time) => $"{Figures.Plain(time.TotalSeconds, 0)} s";

    private static string Words(MilliampHours charge) => $"{Figures.Plain(charge.Value, 0)} mAh";
}
