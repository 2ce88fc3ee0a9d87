using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>Where craft come down, from their ways.</summary>
internal static class Footprints
{
    /// <summary>The footprint that takes in every one of some ways.</summary>
    public static Footprint Of(Setup setup, FlightAtLoss flight, Percent throttle, IReadOnlyList<LossCourse> courses)
    {
        if (courses.FirstOrDefault(c => c.Touchdown is null) is { } open)
            return Open(setup, flight, throttle, open.Legs[^1]);
        var home = courses.Any(c => c.Return is not null) ? Way(setup, flight, courses) : null;
        var reach = new Metres(courses.Max(c => c.Legs[^1].Reach.Value));
        if (home is not null)
            reach += LossCourse.WithoutFix(CourseTerms.Of(setup, flight), Highest(courses));
        // Whole metres are told and drawn: nobody who stands just inside may read that it is outside.
        reach = new Metres(Math.Ceiling(reach.Value));
        var last = courses.MaxBy(c => c.Legs[^1].Far.Value)!.Legs;
        var speed = courses
            .Where(c => c.Legs.Count > 1)
            .Select(c => c.Legs[^2].Impact)
            .DefaultIfEmpty()
            .MaxBy(s => s.Value);
        Joules? energy = flight.Mass is { } mass ? new Joules(mass.Value / 1000 * speed.Value * speed.Value / 2) : null;
        return new Footprint(
            reach,
            new Metres(Math.Abs(last[^1].Far.Value)),
            new Milliseconds(courses.Max(c => c.Legs[^1].Begins.TotalMilliseconds)),
            speed,
            energy,
            [
                .. home is null ? Stand("The pilot", "is", flight.Pilot, reach) : AtHome(home, reach),
                .. Stand("People or road", "are", flight.Line, reach),
                .. courses.Any(c => c.Legs.Any(l => l.Uncaught is not null))
                    ? (string[])["Its landing begins in a dive, too near to the ground to catch it."]
                    : [],
                .. energy is { } joules
                    ? (string[])[$"The impact has {Figures.Plain(joules.Value, joules.Value < 10 ? 1 : 0)} J."]
                    : [],
            ],
            (home is null ? Within(flight.Pilot, reach) : home.Share?.Value > 100) || Within(flight.Line, reach)
        );
    }

    // From as far as it can be when the return begins.
    private static WayBack Way(Setup setup, FlightAtLoss flight, IReadOnlyList<LossCourse> courses) =>
        WayBack.Of(
            setup.Craft,
            setup.Board.Loss.Return,
            flight with
            {
                Height = Highest(courses.Where(c => c.Return is not null)),
            },
            new Metres(courses.Max(c => c.Return?.Far.Value ?? 0)) + (flight.Pilot ?? default)
        );

    // When its return begins at the latest.
    private static Metres Highest(IEnumerable<LossCourse> courses) =>
        new(courses.Max(c => (c.Return ?? c.Legs[0]).High.Value));

    private static IEnumerable<string> AtHome(WayBack way, Metres reach)
    {
        yield return "It comes down at home, where the pilot stands: step away from there.";
        yield return way.Charged;
        yield return $"Where its position fix fails it comes down on the way: all of that is inside the circle of {Figures.Plain(reach.Value, 0)} m.";
    }

    // It flies on, or home and never comes there: what ends that is the battery.
    private static Footprint Open(Setup setup, FlightAtLoss flight, Percent throttle, CourseLeg leg)
    {
        if (leg.Kind == LegKind.Returning)
            return Unbounded(
                flight.Pilot is null
                    ? "It flies home by itself, and how far home is is not written down: how far is the pilot away?"
                    : $"It flies home by itself at {setup.Board.Loss.Return.Speed} through the air, and does not come forward against {flight.Wind} of wind: it hangs there or drifts off until the battery is empty. No place is far enough."
            );
        if (BatteryModel.Of(setup.Craft) is not { } model)
            return Unbounded(
                "Nothing that the board does brings it down: it flies on until the battery is empty, and that is not written down. No place is far enough."
            );
        var current = model.Current(MotorLevel.Thrust, new Percent((throttle.Value + 100) / 2));
        var hours = model.Battery.Capacity.Value / 1000 / current.Value;
        var reach = new Metres((flight.Speed + flight.Wind).Value * hours * 3600);
        return Unbounded(
            $"Nothing that the board does brings it down: a full battery carries it {Figures.Plain(hours * 60, 1)} min at {current}, {Figures.Plain(reach.Value / 1000, 1)} km in any direction. No place is far enough.",
            reach
        );
    }

    private static Footprint Unbounded(string words, Metres? reach = null) =>
        new(reach, Likely: null, Rest: null, Impact: null, Energy: null, [words], Struck: true);

    private static IEnumerable<string> Stand(string who, string verb, Metres? where, Metres reach)
    {
        if (where is not { } far)
            yield break;
        var (circle, distance) = ($"{Figures.Plain(reach.Value, 0)} m", $"{Figures.Plain(Told(far), 0)} m");
        yield return Within(far, reach)
            ? $"{who}, {distance} away, {verb} inside the circle of {circle}: not there."
            : $"{who}, {distance} away, {verb} outside the circle of {circle}.";
    }

    private static bool Within(Metres? where, Metres reach) => where is { } far && Told(far) <= reach.Value;

    /// <summary>How far away somebody is told to stand, in whole metres: rounded towards the craft.</summary>
    private static double Told(Metres far) => Math.Floor(far.Value);
}
