using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A loss of the signal in words.</summary>
public static class LossWords
{
    /// <summary>Kilometres an hour in a metre a second.</summary>
    private const double KilometresAnHour = 3.6;

    /// <summary>What a loss that nothing could be played of is told by.</summary>
    public const string Nothing =
        "Nothing that was tried arms this craft, so that no loss can be played: the findings and the bench say why.";

    /// <summary>The flight when the last packet comes.</summary>
    public static string Start(FlightAtLoss flight) =>
        $"At {Speed(flight.Speed)}, {Whole(flight.Height)} up"
        + flight.Climb.Value switch
        {
            > 0 => $", climbing at {flight.Climb}",
            < 0 => $", diving at {default(MetresPerSecond) - flight.Climb}",
            _ => "",
        };

    /// <summary>How it ends, in one sentence.</summary>
    public static string Headline(FlightAtLoss flight, LossTimeline timeline)
    {
        var (reach, rest) = (timeline.Footprint.Reach, timeline.Footprint.Rest);
        var ends =
            rest is { } home && timeline.Marks.Any(m => m.Kind == LossMarkKind.Home)
                ? $"home by itself, on the ground after {Figures.Plain(home.Value / 1000, 0)} s"
            : rest is { } down && reach is { } far
                ? $"on the ground after {Figures.Plain(down.Value / 1000, 1)} s, up to {Whole(far)} on, at {Speed(timeline.Footprint.Impact ?? default)}"
            : "the board does not bring it down";
        return $"{Start(flight)}: {ends}";
    }

    /// <summary>The times at which the signal comes back with one outcome; the last of them have no end.</summary>
    public static string Back(Milliseconds from, Milliseconds to) =>
        to.Value < LossPlay.LatestReturn.TotalMilliseconds
            ? $"{Figures.Plain(from.Value / 1000, 3)} to {Figures.Plain(to.Value / 1000, 3)} s"
            : $"after {Figures.Plain(from.Value / 1000, 3)} s";

    /// <summary>From the earliest to the latest; one of them where they read the same.</summary>
    public static string Span(Milliseconds earliest, Milliseconds latest)
    {
        var (unit, scale, decimals) = latest.Value switch
        {
            < 1000 => ("ms", 1.0, 0),
            < 60_000 => ("s", 1000.0, 2),
            _ => ("s", 1000.0, 0),
        };
        var (from, to) = (
            Figures.Plain(earliest.Value / scale, decimals),
            Figures.Plain(latest.Value / scale, decimals)
        );
        return from == to ? $"{to} {unit}" : $"{from} to {to} {unit}";
    }

    /// <summary>How far the craft is by a mark.</summary>
    public static string Far(Metres far) =>
        $"{Whole(new Metres(Math.Abs(far.Value)))}{(far.Value < -0.5 ? " back" : "")}";

    /// <summary>A length in whole metres.</summary>
    public static string Whole(Metres length) => $"{Figures.Plain(length.Value, 0)} m";

    private static string Speed(MetresPerSecond speed) => $"{Figures.Plain(speed.Value * KilometresAnHour, 0)} km/h";
}
