using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>A craft whose motors have stopped: it falls, and the air brakes it with the square of its speed through it.</summary>
/// <param name="Height">How high it is when the motors stop.</param>
/// <param name="Speed">How fast it goes over the ground then, level.</param>
/// <param name="Wind">The wind, in the direction in which it flies: it comes furthest so.</param>
/// <param name="FallsAt">The speed at which the air carries its weight; null to leave the air out.</param>
/// <remarks>The braking is the weight at that speed, and by the square at others (the drag equation of fluid mechanics, its coefficient
/// taken as constant). A craft that tumbles has no one such speed: leaving the air out is the upper bound.</remarks>
public sealed record Fall(Metres Height, MetresPerSecond Speed, MetresPerSecond Wind, MetresPerSecond? FallsAt)
{
    [Figure(
        Station.Craft,
        "Standard acceleration of free fall",
        ProvenanceKind.Published,
        Source = "3rd General Conference on Weights and Measures (BIPM)",
        Place = "1901: the conventional value, exact",
        Unit = "m/s²"
    )]
    internal const double Gravity = 9.80665;

    // Of the numeric solution, in seconds.
    private const double Step = 0.004;

    // Below this share of its weight a fall no longer gains speed that matters.
    private const double Settled = 1e-4;

    /// <summary>How fast it comes down already when the motors stop; less than 0 when it climbs.</summary>
    public MetresPerSecond Sinking { get; init; }

    /// <summary>How long, in seconds, and how far a craft without thrust goes on up when no air brakes it; 0 when it does not climb.</summary>
    /// <param name="climb">How fast it climbs.</param>
    public static (double Seconds, Metres Higher) Rise(MetresPerSecond climb)
    {
        var seconds = Math.Max(0, climb.Value) / Gravity;
        return (seconds, new Metres(Gravity * seconds * seconds / 2));
    }

    /// <summary>Where it is a while after the motors stopped.</summary>
    /// <param name="after">The time, 0 or more.</param>
    /// <returns>How far it has come over the ground and how high it is; on the ground it stays where it came down.</returns>
    public (Metres Far, Metres High) At(TimeSpan after)
    {
        var (at, _) = Until(after);
        return (new Metres(at.Far), new Metres(at.High));
    }

    /// <summary>How fast it comes down a while after the motors stopped; less than 0 while it still climbs.</summary>
    /// <param name="after">The time, 0 or more.</param>
    public MetresPerSecond SinkingAt(TimeSpan after) => new(Until(after).At.Down);

    /// <summary>Where, when and how fast it comes down.</summary>
    public (TimeSpan Time, Metres Far, MetresPerSecond Speed) Ground
    {
        get
        {
            var (at, time) = Until(null);
            return (TimeSpan.FromSeconds(time), new Metres(at.Far), new MetresPerSecond(Math.Sqrt(Squared(at))));
        }
    }

    /// <summary>How far from where the motors stopped it can come down at most, whatever the direction of the wind.</summary>
    /// <remarks>The air draws the speed over the ground towards the wind's and past neither, so that it is never above the larger of
    /// both; and it falls no longer than with as much speed through the air as both together, kept to the end.</remarks>
    public Metres Reach => new(Math.Max(Speed.Value, Wind.Value) * LongestTime());

    private double LongestTime()
    {
        if (FallsAt is not { } carried)
            return FreeTime;
        // Where the air carries it as it goes along: its speed down tends to that, from above or from below.
        var level = Square((Speed + Wind).Value);
        var square = Square(carried.Value);
        var tends = Math.Sqrt((Math.Sqrt((level * level) + (4 * square * square)) - level) / 2);
        // What still climbs comes highest, and latest, when no air brakes it on the way up.
        var (rises, higher) = Rise(default(MetresPerSecond) - Sinking);
        var (high, down, time) = ((Height + higher).Value, Math.Max(0, Sinking.Value), rises);
        if (down >= tends)
            return time + (high / tends);
        while (high > 0)
        {
            // The braking is taken as it is at the end of the step, where it is strongest: the fall comes out too long, never too short.
            var pull = Gravity - Brake(down + ((Gravity - Brake(down)) * Step));
            if (pull < Gravity * Settled)
                return time + (high / down);
            down += pull * Step;
            high -= down * Step;
            time += Step;
        }

        return time + Step;

        double Brake(double sinks) => Gravity * Math.Sqrt(level + (sinks * sinks)) * sinks / square;
    }

    private double FreeTime =>
        (Math.Sqrt(Square(Sinking.Value) + (2 * Gravity * Height.Value)) - Sinking.Value) / Gravity;

    private ((double Far, double High, double Along, double Down) At, double Time) Until(TimeSpan? after)
    {
        var end = after?.TotalSeconds ?? double.MaxValue;
        if (FallsAt is null)
        {
            var time = Math.Min(end, FreeTime);
            var fallen = (Sinking.Value * time) + (Gravity * time * time / 2);
            return (
                (Speed.Value * time, Math.Max(0, Height.Value - fallen), Speed.Value, Sinking.Value + (Gravity * time)),
                time
            );
        }

        var state = (Far: 0.0, High: Height.Value, Along: Speed.Value, Down: Sinking.Value);
        var at = 0.0;
        while (at < end && (state.High > 0 || state.Down < 0))
        {
            var step = Math.Min(Step, end - at);
            var next = Next(state, step);
            if (next.High < 0)
            {
                // The ground lies within the step, in which it moves almost evenly.
                step *= state.High / (state.High - next.High);
                next = Next(state, step) with { High = 0 };
            }

            (state, at) = (next, at + step);
        }

        return (state, at);
    }

    // The classical method of Runge and Kutta, of fourth order.
    private (double Far, double High, double Along, double Down) Next(
        (double Far, double High, double Along, double Down) state,
        double step
    )
    {
        var first = Pull(state.Along, state.Down);
        var second = Pull(state.Along + (first.Along * step / 2), state.Down + (first.Down * step / 2));
        var third = Pull(state.Along + (second.Along * step / 2), state.Down + (second.Down * step / 2));
        var fourth = Pull(state.Along + (third.Along * step), state.Down + (third.Down * step));
        return (
            state.Far + (step * state.Along) + (step * step / 6 * (first.Along + second.Along + third.Along)),
            state.High - (step * state.Down) - (step * step / 6 * (first.Down + second.Down + third.Down)),
            state.Along + (step / 6 * (first.Along + (2 * second.Along) + (2 * third.Along) + fourth.Along)),
            state.Down + (step / 6 * (first.Down + (2 * second.Down) + (2 * third.Down) + fourth.Down))
        );
    }

    private (double Along, double Down) Pull(double along, double down)
    {
        var through = along - Wind.Value;
        var brake = Gravity * Math.Sqrt((through * through) + (down * down)) / Square(FallsAt!.Value.Value);
        return (-brake * through, Gravity - (brake * down));
    }

    private static double Squared((double Far, double High, double Along, double Down) at) =>
        (at.Along * at.Along) + (at.Down * at.Down);

    private static double Square(double value) => value * value;
}
