using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A leg of the craft's way while a signal is lost.</summary>
/// <param name="Flight">The flight at the loss.</param>
/// <param name="Kind">What it does.</param>
/// <param name="Begins">When the leg begins, after the last packet.</param>
/// <param name="Far">How far it has come by then.</param>
/// <param name="High">How high it is then.</param>
/// <param name="Speed">How fast it goes over the ground then.</param>
/// <param name="Reach">How far it can have come by then at most, whatever the direction of the wind.</param>
internal sealed record CourseLeg(
    FlightAtLoss Flight,
    LegKind Kind,
    TimeSpan Begins,
    Metres Far,
    Metres High,
    MetresPerSecond Speed,
    Metres Reach
)
{
    private MetresPerSecond Sinking { get; init; }

    private Fall Fall => new(High, Speed, Flight.Wind, Flight.FallsAt) { Sinking = Sinking };

    /// <summary>When it comes to the ground; null when this leg never brings it there.</summary>
    public TimeSpan? Ground =>
        Kind switch
        {
            LegKind.Falling => Begins + Fall.Ground.Time,
            LegKind.Landing => Begins + TimeSpan.FromSeconds(High.Value / Flight.Descent.Value),
            LegKind.Level or LegKind.Returning or LegKind.OnGround => null,
        };

    /// <summary>How fast it comes to the ground at the end of this leg.</summary>
    public MetresPerSecond Impact =>
        Kind switch
        {
            LegKind.Falling => Fall.Ground.Speed,
            LegKind.Landing => Flight.Descent,
            LegKind.Level or LegKind.Returning or LegKind.OnGround => default,
        };

    /// <summary>Where it is at a time of this leg.</summary>
    public (Metres Far, Metres High) At(TimeSpan after)
    {
        var passed = after - Begins;
        var seconds = passed.TotalSeconds;
        switch (Kind)
        {
            case LegKind.Level:
                return (Far + new Metres(Speed.Value * seconds), High);
            case LegKind.Falling:
                var (far, high) = Fall.At(passed);
                return (Far + far, high);
            case LegKind.Landing:
                return (
                    Far
                        + new Metres(
                            Coast((Speed - Flight.Wind).AtLeast(default), seconds) + (Flight.Wind.Value * seconds)
                        ),
                    (High - new Metres(Flight.Descent.Value * seconds)).AtLeast(default)
                );
            case LegKind.Returning:
            case LegKind.OnGround:
                return (Far, High);
            default:
                throw new ArgumentOutOfRangeException(nameof(after));
        }
    }

    /// <summary>How far it can have come at most by a time of this leg.</summary>
    public Metres ReachAt(TimeSpan after)
    {
        var seconds = (after - Begins).TotalSeconds;
        return Reach
            + new Metres(
                Kind switch
                {
                    LegKind.Level => Speed.Value * seconds,
                    LegKind.Falling => after == Ground
                        ? Fall.Reach.Value
                        : Math.Max(Speed.Value, Flight.Wind.Value) * seconds,
                    LegKind.Landing => Coast(Speed + Flight.Wind, seconds) + (Flight.Wind.Value * seconds),
                    LegKind.Returning or LegKind.OnGround => 0,
                }
            );
    }

    /// <summary>The leg that follows.</summary>
    /// <param name="next">What it does then.</param>
    /// <param name="at">When.</param>
    public CourseLeg Then(LegKind next, TimeSpan at)
    {
        var (far, high) = At(at);
        return new CourseLeg(
            Flight,
            next,
            at,
            far,
            next == LegKind.OnGround ? default : high,
            Kind == LegKind.Landing ? Slowed((at - Begins).TotalSeconds) : Speed,
            ReachAt(at)
        )
        {
            Sinking = Kind == LegKind.Landing ? Flight.Descent : default,
        };
    }

    // Levelled, the air takes the speed from it, with the square of it.
    private double Coast(MetresPerSecond through, double seconds) =>
        Flight.FallsAt is { } carried
            ? carried.Value
                * carried.Value
                / Fall.Gravity
                * Math.Log(1 + (Fall.Gravity * through.Value * seconds / (carried.Value * carried.Value)))
            : through.Value * seconds;

    // What is left of its speed, or the wind's where that is more: it never comes to rest in the wind.
    private MetresPerSecond Slowed(double seconds)
    {
        var through = (Speed + Flight.Wind).Value;
        var left = Flight.FallsAt is { } carried
            ? through / (1 + (Fall.Gravity * through * seconds / (carried.Value * carried.Value)))
            : through;
        return new MetresPerSecond(Math.Min(Math.Max(Speed.Value, Flight.Wind.Value), left + Flight.Wind.Value));
    }
}
