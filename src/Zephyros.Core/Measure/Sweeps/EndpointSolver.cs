using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Sweeps;

/// <summary>Works out, from what the board shows at the ends and the centre of each stick, the settings that make it show 1000, 1500 and
/// 2000 µs.</summary>
/// <remarks>Both schools are common practice, no source: the board scales the measured span, or the transmitter's ends are
/// changed. Limits 10 µs inside the ends and the board's centre at the measured one: the same.</remarks>
public static class EndpointSolver
{
    private static readonly double Low = Microseconds.Low.Value;
    private static readonly double High = Microseconds.High.Value;
    private static readonly double Half = (High - Low) / 2;

    [Figure(Station.Board, "Measured centres count as one within", ProvenanceKind.OwnAssumption, Unit = "µs")]
    private const double AgreeWithin = 6;

    [Figure(Station.Board, "A measured centre counts as neutral within", ProvenanceKind.OwnAssumption, Unit = "µs")]
    private const double CentreWithin = 3;

    // That of FlightBoard.Centre.
    [Figure(Station.Board, "A board's centre can be set off neutral by", ProvenanceKind.OwnAssumption, Unit = "µs")]
    private const double MostCentre = 100;

    // Ends nearer to the centre than this are no travel.
    [Figure(Station.Board, "A measured end lies off the centre by at least", ProvenanceKind.OwnAssumption)]
    private static readonly Microseconds LeastTravel = new(50);

    [Figure(
        Station.Board,
        "Limits that follow a measurement lie inside its ends by",
        ProvenanceKind.CommonPractice,
        Unit = "µs"
    )]
    private const double LimitInside = 10;

    /// <summary>Why nothing can be worked out; empty when something can.</summary>
    public static IReadOnlyList<SetupProblem> Problems(IReadOnlyDictionary<StickAxis, Sweep> sweeps)
    {
        var problems = new List<SetupProblem>();
        foreach (var axis in StickAxes.All)
        {
            var place = $"/sweeps/{axis.Word()}";
            if (!sweeps.TryGetValue(axis, out var sweep))
                problems.Add(new(place, $"The {axis.Word()} stick was not measured."));
            else if (sweep.Low > sweep.Centre - LeastTravel)
                problems.Add(
                    new(
                        $"{place}/low",
                        $"The low end of {axis.Word()} ({sweep.Low}) must lie below its centre ({sweep.Centre})."
                    )
                );
            else if (sweep.High < sweep.Centre + LeastTravel)
                problems.Add(
                    new(
                        $"{place}/high",
                        $"The high end of {axis.Word()} ({sweep.High}) must lie above its centre ({sweep.Centre})."
                    )
                );
        }

        return problems;
    }

    /// <summary>Both ways to put the ends right, and which is better.</summary>
    /// <param name="setup">The setup that was measured.</param>
    /// <param name="sweeps">What the board showed, by axis, without <see cref="Problems"/>.</param>
    public static EndpointAnswer Solve(Setup setup, IReadOnlyDictionary<StickAxis, Sweep> sweeps)
    {
        ChannelTravel[] channels = [.. StickAxes.All.Select(axis => Channel(setup, axis, sweeps[axis]))];
        var shared = setup.Air.Receiver.Number == 0;
        var (centre, off) = Centres(channels);
        return new EndpointAnswer(
            channels,
            shared || off.Count > 0 ? CorrectionPlace.Transmitter : CorrectionPlace.Board,
            off.Count > 0
                    ? $"The travel of {string.Join(" and ", off.Select(a => a.Word()))} is not the same to both sides. A span at the board has no centre of its own: stretched by one, the stick would no longer rest at the board's centre."
                : shared
                    ? "The model is bound to receiver number 00 and serves several craft: ends at the transmitter keep one truth for all their boards."
                : "Spans at the board leave the model as it is, and work with every transmitter.",
            centre,
            off,
            new Microseconds(Math.Ceiling(channels.Max(c => c.Raw.Jitter.Value))),
            new Microseconds(Low + LimitInside),
            new Microseconds(setup.Board.ThrottleLow.Value - sweeps[StickAxis.Throttle].Low.Value),
            new Microseconds(High - LimitInside)
        );
    }

    /// <summary>What the travel of a channel does in the air.</summary>
    /// <param name="board">The board.</param>
    /// <param name="axis">The axis.</param>
    /// <param name="seen">The values at the ends and the centre, after the board has scaled them.</param>
    public static TravelEffect Effect(FlightBoard board, StickAxis axis, Sweep seen)
    {
        var (low, high) = (seen.Low.Value, seen.High.Value);
        var outside = new Microseconds(Math.Max(0, Low - low) + Math.Max(0, high - High));
        var missing = new Microseconds(Math.Max(0, low - Low) + Math.Max(0, High - high));
        if (axis == StickAxis.Throttle)
            return new TravelEffect(
                seen,
                missing,
                outside,
                new Percent(Math.Clamp((low - Low) / 10, 0, 100)),
                new Percent(Math.Clamp((high - Low) / 10, 0, 100)),
                default,
                default
            );
        var centre = board.Centre.Value;
        var lowShare = CraftResponse.Shaped(board, Math.Clamp((centre - low) / Half, 0, 1));
        var highShare = CraftResponse.Shaped(board, Math.Clamp((high - centre) / Half, 0, 1));
        var offset = seen.Centre.Value - centre;
        var drift = CraftResponse.Shaped(
            board,
            Math.Sign(offset) * Math.Max(0, Math.Abs(offset) - board.Deadband.Value) / Half
        );
        return new TravelEffect(
            seen,
            missing,
            outside,
            new Percent(100 * lowShare),
            new Percent(100 * highShare),
            new DegreesPerSecond((1 - Math.Min(lowShare, highShare)) * board.MaximumRate.Value),
            new DegreesPerSecond(drift * board.MaximumRate.Value)
        );
    }

    private static ChannelTravel Channel(Setup setup, StickAxis axis, Sweep shown)
    {
        var board = setup.Board;
        // What the board shows is scaled already where it was told a span.
        var raw = shown with
        {
            Low = board.OnWire(axis, shown.Low),
            Centre = board.OnWire(axis, shown.Centre),
            High = board.OnWire(axis, shown.High),
        };
        var span = new ChannelSpan
        {
            Low = new Microseconds(Math.Round(raw.Low.Value, MidpointRounding.AwayFromZero)),
            High = new Microseconds(Math.Round(raw.High.Value, MidpointRounding.AwayFromZero)),
        };
        var fed = setup.Model.Channels.Values.FirstOrDefault(c => c.Number == board.Map.ChannelOf(axis));
        var ends = fed is null ? null : Fit(setup, fed.Output, raw);
        return new ChannelTravel(
            axis,
            board.Map.ChannelOf(axis),
            raw,
            span,
            board.SpanNumbering.NameOf(board.Map, axis),
            ends,
            Effect(board, axis, shown),
            Effect(board, axis, Through(raw, span.Scale)),
            ends is null ? null : Effect(board, axis, ends.Arrives)
        );
    }

    // Two straight pieces that meet at the centre, as the output stage makes them.
    private static EndFit Fit(Setup setup, OutputStage now, Sweep raw)
    {
        var (step, limit) = (setup.Transmitter.TravelStep.Value, setup.Transmitter.TravelLimit.Value);
        double Rounded(double percent) =>
            Math.Clamp(
                Math.Round(Math.Round(percent / step, MidpointRounding.AwayFromZero) * step, 6),
                -Math.Floor(limit / step) * step,
                Math.Floor(limit / step) * step
            );
        var wanted = (
            Low: PercentFor(now, raw, Low),
            Centre: PercentFor(now, raw, Microseconds.Neutral.Value),
            High: PercentFor(now, raw, High)
        );
        Percent low = new(Rounded(wanted.Low)),
            centre = new(Rounded(wanted.Centre)),
            high = new(Rounded(wanted.High));
        var arrives = raw with { Low = At(now, raw, low), Centre = At(now, raw, centre), High = At(now, raw, high) };
        return new EndFit(
            low,
            centre,
            high,
            arrives,
            new Microseconds(
                Math.Max(
                    arrives.Centre.ApartFrom(Microseconds.Neutral).Value,
                    Math.Max(Math.Abs(arrives.Low.Value - Low), Math.Abs(arrives.High.Value - High))
                )
            ),
            Math.Abs(wanted.Low) <= limit && Math.Abs(wanted.High) <= limit
        );
    }

    private static double PercentFor(OutputStage now, Sweep raw, double wanted)
    {
        var below = wanted < raw.Centre.Value;
        var slope = Slope(now, raw, below);
        return now.Centre.Value + ((wanted - raw.Centre.Value) / slope);
    }

    // Microseconds for each percent, below or above the centre.
    private static double Slope(OutputStage now, Sweep raw, bool below) =>
        below
            ? (raw.Centre - raw.Low).Value / (now.Centre - now.Low).Value
            : (raw.High - raw.Centre).Value / (now.High - now.Centre).Value;

    // What arrives once the output stage leaves another percentage.
    private static Microseconds At(OutputStage now, Sweep raw, Percent percent) =>
        new(raw.Centre.Value + ((percent.Value - now.Centre.Value) * Slope(now, raw, below: percent < now.Centre)));

    private static Sweep Through(Sweep sweep, Func<Microseconds, Microseconds> scale) =>
        sweep with
        {
            Low = scale(sweep.Low),
            Centre = scale(sweep.Centre),
            High = scale(sweep.High),
        };

    private static (Microseconds? Centre, IReadOnlyList<StickAxis> Off) Centres(ChannelTravel[] channels)
    {
        var centres = channels
            .Where(c => c.Axis != StickAxis.Throttle)
            .Select(c => (c.Axis, At: c.Span.Scale(c.Raw.Centre).Value))
            .ToArray();
        var off = centres.Where(c => Math.Abs(c.At - Microseconds.Neutral.Value) > CentreWithin).ToArray();
        if (off.Length == 0)
            return (null, []);
        var mean = Math.Round(centres.Average(c => c.At), MidpointRounding.AwayFromZero);
        var agree = centres.Max(c => c.At) - centres.Min(c => c.At) <= AgreeWithin;
        return agree && Math.Abs(mean - Microseconds.Neutral.Value) <= MostCentre
            ? (new Microseconds(mean), [])
            : (null, [.. off.Select(c => c.Axis)]);
    }
}
