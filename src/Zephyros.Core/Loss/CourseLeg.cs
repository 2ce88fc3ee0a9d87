using Zephyros.Core.Craft;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A leg of the craft's way while a signal is lost.</summary>
/// <param name="Terms">What it follows from.</param>
/// <param name="Kind">What it does.</param>
/// <param name="Begins">When the leg begins, after the last packet.</param>
/// <param name="Far">How far it has come by then.</param>
/// <param name="High">How high it is then.</param>
/// <param name="Speed">How fast it goes over the ground then.</param>
/// <param name="Reach">How far it can have come by then at most, whatever the direction of the wind.</param>
internal sealed record CourseLeg(
    CourseTerms Terms,
    LegKind Kind,
    TimeSpan Begins,
    Metres Far,
    Metres High,
    MetresPerSecond Speed,
    Metres Reach
)
{
    // A craft that is called home has turned by then; until then it goes on at most as before.
    [Figure(Station.Board, "A return home has turned the craft within", ProvenanceKind.OwnAssumption, Unit = "s")]
    private const double Turns = 3;

    // A landing that begins in a dive brakes it no harder than with so many times the craft's weight beyond what carries it.
    [Figure(
        Station.Board,
        "A landing brakes a dive, beyond what carries the craft, with",
        ProvenanceKind.OwnAssumption,
        Unit = "times its weight"
    )]
    private const double Brakes = 1;

    private FlightAtLoss Flight => Terms.Flight;

    /// <summary>How fast it comes down already when the leg begins; less than 0 when it climbs.</summary>
    public MetresPerSecond Sinking { get; init; }

    // A craft that climbs when its landing begins goes on up without thrust before it comes down.
    private double Rises => Fall.Rise(default(MetresPerSecond) - Sinking).Seconds;

    private Metres Top => High + Fall.Rise(default(MetresPerSecond) - Sinking).Higher;

    private Fall Fall => new(High, Speed, Flight.Wind, Flight.FallsAt) { Sinking = Sinking };

    /// <summary>When this leg ends by itself, and what follows; null when it never does.</summary>
    public (TimeSpan At, LegKind Next)? Ends =>
        Kind switch
        {
            LegKind.Falling => (Begins + Fall.Ground.Time, LegKind.OnGround),
            LegKind.Landing or LegKind.LandingAtHome => (
                After(Top.Value, Flight.Descent) + TimeSpan.FromSeconds(Rises),
                LegKind.OnGround
            ),
            LegKind.Climbing => (
                After((Terms.Return.Height - High).AtLeast(default).Value, Terms.Return.Climb),
                LegKind.Returning
            ),
            LegKind.Returning => Terms is { Homeward: { } speed, Home: { } home }
                ? (After(Math.Abs((Far - home).Value), speed), LegKind.LandingAtHome)
                : null,
            LegKind.Level => Sinking > default(MetresPerSecond) ? (After(High.Value, Sinking), LegKind.OnGround) : null,
            LegKind.OnGround => null,
        };

    /// <summary>How fast it comes to the ground at the end of this leg.</summary>
    public MetresPerSecond Impact =>
        Kind switch
        {
            LegKind.Falling => Fall.Ground.Speed,
            LegKind.Landing => Uncaught ?? Flight.Descent,
            LegKind.LandingAtHome => Flight.Descent,
            LegKind.Level => new MetresPerSecond(Math.Sqrt(Square(Speed) + Square(Sinking))),
            LegKind.Climbing or LegKind.Returning or LegKind.OnGround => default,
        };

    /// <summary>How fast it comes to the ground where a landing begins in a dive, or in a fall, that it cannot catch in time; null where it
    /// can.</summary>
    /// <remarks>Where and when it comes down is reckoned as if the dive were caught at once: it is longest in the air so, and comes
    /// furthest.</remarks>
    public MetresPerSecond? Uncaught
    {
        get
        {
            var left = Square(Sinking) - (2 * Brakes * Fall.Gravity * High.Value);
            return Kind == LegKind.Landing && Sinking > Flight.Descent && left > Square(Flight.Descent)
                ? new MetresPerSecond(Math.Sqrt(Square(Speed) + left))
                : null;
        }
    }

    /// <summary>Where it is at a time of this leg.</summary>
    public (Metres Far, Metres High) At(TimeSpan after)
    {
        var passed = after - Begins;
        var seconds = passed.TotalSeconds;
        switch (Kind)
        {
            case LegKind.Level:
                return (
                    Far + new Metres(Speed.Value * seconds),
                    (High - new Metres(Sinking.Value * seconds)).AtLeast(default)
                );
            case LegKind.Falling:
                var (far, high) = Fall.At(passed);
                return (Far + far, high);
            case LegKind.Landing:
                return (
                    Far
                        + new Metres(
                            Coast((Speed - Flight.Wind).AtLeast(default), seconds) + (Flight.Wind.Value * seconds)
                        ),
                    Sunk(seconds)
                );
            case LegKind.LandingAtHome:
                return (Far, Sunk(seconds));
            case LegKind.Climbing:
                return (Far, High + new Metres(Terms.Return.Climb.Value * seconds));
            case LegKind.Returning:
                var way =
                    Terms.Home is { } home && Terms.Homeward is { } speed
                        ? Math.Sign((home - Far).Value) * speed.Value * seconds
                        : 0;
                return (Far + new Metres(way), High);
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
        var reach = Kind == LegKind.Returning ? Reach.AtLeast(Flight.Pilot ?? default) : Reach;
        return reach
            + new Metres(
                Kind switch
                {
                    LegKind.Level => Speed.Value * seconds,
                    LegKind.Falling => after == Ends?.At
                        ? Fall.Reach.Value
                        : Math.Max(Speed.Value, Flight.Wind.Value) * seconds,
                    LegKind.Landing => Coast(Speed + Flight.Wind, seconds) + (Flight.Wind.Value * seconds),
                    LegKind.Climbing or LegKind.Returning or LegKind.LandingAtHome or LegKind.OnGround => 0,
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
            Terms,
            next,
            at,
            far,
            next == LegKind.OnGround ? default : high,
            Kind switch
            {
                LegKind.Landing => Slowed((at - Begins).TotalSeconds),
                LegKind.Climbing or LegKind.Returning => Terms.Homeward ?? Flight.Wind,
                LegKind.LandingAtHome => default,
                LegKind.Level or LegKind.Falling or LegKind.OnGround => Speed,
            },
            next == LegKind.Climbing ? ReachAt(at) + new Metres(Speed.Value * Turns) : ReachAt(at)
        )
        {
            Sinking = Kind switch
            {
                LegKind.Level => Sinking,
                LegKind.Landing or LegKind.LandingAtHome => SinksAfter((at - Begins).TotalSeconds),
                LegKind.Falling => next == LegKind.Landing ? Fall.SinkingAt(at - Begins) : default,
                LegKind.Climbing or LegKind.Returning or LegKind.OnGround => default,
            },
        };
    }

    private static double Square(MetresPerSecond speed) => speed.Value * speed.Value;

    private TimeSpan After(double way, MetresPerSecond speed) => Begins + TimeSpan.FromSeconds(way / speed.Value);

    private Metres Sunk(double seconds) =>
        seconds < Rises
            ? High + new Metres((Fall.Gravity * seconds * Rises) - (Fall.Gravity * seconds * seconds / 2))
            : (Top - new Metres(Flight.Descent.Value * (seconds - Rises))).AtLeast(default);

    private MetresPerSecond SinksAfter(double seconds) =>
        seconds < Rises ? new MetresPerSecond(Fall.Gravity * (seconds - Rises)) : Flight.Descent;

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
