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
        var reach = new Metres(courses.Max(c => c.Legs[^1].Reach.Value));
        var last = courses.MaxBy(c => c.Legs[^1].Far.Value)!.Legs;
        var speed = last.Count > 1 ? last[^2].Impact : default;
        Joules? energy = flight.Mass is { } mass ? new Joules(mass.Value / 1000 * speed.Value * speed.Value / 2) : null;
        return new Footprint(
            reach,
            last[^1].Far,
            new Milliseconds(courses.Max(c => c.Legs[^1].Begins.TotalMilliseconds)),
            speed,
            energy,
            [.. Stand("The pilot", "is", flight.Pilot, reach), .. Stand("People or road", "are", flight.Line, reach)],
            flight.Pilot <= reach || flight.Line <= reach
        );
    }

    // It flies on, or home: what ends that is the battery, or the ground at home.
    private static Footprint Open(Setup setup, FlightAtLoss flight, Percent throttle, CourseLeg leg)
    {
        if (leg.Kind == LegKind.Returning)
            return Unbounded(
                "It flies home by itself, as far as position fix, battery and wind let it: whatever lies between is under its way. Where one of them fails it comes down there."
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
        var (circle, distance) = ($"{Figures.Plain(reach.Value, 0)} m", $"{Figures.Plain(far.Value, 0)} m");
        yield return far <= reach
            ? $"{who}, {distance} away, {verb} inside the circle of {circle}: not there."
            : $"{who}, {distance} away, {verb} outside the circle of {circle}.";
    }
}
