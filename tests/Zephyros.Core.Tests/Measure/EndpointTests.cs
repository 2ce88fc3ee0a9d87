using CsCheck;
using MathNet.Numerics;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Measure;

public sealed class EndpointTests
{
    // Common practice, no source: a board shows 987 to 2011; told so, it reads 1000 to 2000.
    [Fact]
    public void The_board_is_told_the_span()
    {
        var answer = EndpointSolver.Solve(Demo.Plain, All(987, 1500, 2011));
        var edit = EndpointEdits.At(Demo.Plain, answer, CorrectionPlace.Board);
        var board = edit.ApplyTo(Demo.Plain).Setup!.Board;
        Assert.All(StickAxes.All, a => Assert.Equal(1000, board.Scaled(a, new(987)).Value, 9));
        Assert.All(StickAxes.All, a => Assert.Equal(2000, board.Scaled(a, new(2011)).Value, 9));
        Assert.Equal((1010, 1990), (answer.ThrottleLow.Value, answer.FullTravel.Value));
        // The limit of 1015 µs lies 28 µs above the low end as it is.
        Assert.Equal(28, answer.ThrottleLost.Value);
        Assert.Equal(CorrectionPlace.Board, answer.Advised);
    }

    // The numbers are those of the channels that the board reads the sticks from, not of a list of axes.
    [Theory]
    [InlineData(SpanNumbering.Axis, "span of roll, span of pitch, span of throttle, span of yaw")]
    [InlineData(SpanNumbering.Channel, "span 2 (roll), span 3 (pitch), span 1 (throttle), span 4 (yaw)")]
    [InlineData(SpanNumbering.ChannelFromZero, "span 1 (roll), span 2 (pitch), span 0 (throttle), span 3 (yaw)")]
    public void Spans_are_named_as_the_board_names_them(SpanNumbering numbering, string names)
    {
        var setup = Demo.Plain.WithBoard(b => b with { Map = StickOrder.Parse("TAER"), SpanNumbering = numbering });
        var answer = EndpointSolver.Solve(setup, All(987, 1500, 2011));
        Assert.Equal(names, string.Join(", ", answer.Channels.Select(c => c.SpanName)));
    }

    // Common practice, no source: on the wide scale 1000 to 2000 µs is -97.66 to +97.66 %; steps of 0.1 leave 0.2 µs.
    [Fact]
    public void The_transmitter_is_told_its_ends()
    {
        var plain = Demo.Plain;
        foreach (var axis in StickAxes.All)
            plain = plain.WithChannel(axis.Word(), c => c with { Output = new() });
        var fit = EndpointSolver.Solve(plain, All(988, 1500, 2012)).Channels[0].Ends!;
        Assert.Equal((-97.7, 0, 97.7), (fit.Low.Value, fit.Centre.Value, fit.High.Value));
        Assert.Equal(0.224, fit.Residual.Value, 3);
        var fine = plain with { Transmitter = plain.Transmitter with { TravelStep = new Percent(0.01) } };
        fit = EndpointSolver.Solve(fine, All(988, 1500, 2012)).Channels[0].Ends!;
        Assert.Equal((-97.66, 97.66), (fit.Low.Value, fit.High.Value));
    }

    // Common practice, no source: 1100 to 1900 unscaled gives 80 % of the rate.
    [Fact]
    public void Short_travel_costs_rate()
    {
        var effect = EndpointSolver.Effect(Demo.Plain.Board, StickAxis.Roll, Of(1100, 1500, 1900));
        Assert.Equal((80, 80, 200), (effect.LowShare.Value, effect.HighShare.Value, effect.Short.Value));
        Assert.Equal(0.2 * Demo.Plain.Board.MaximumRate.Value, effect.RateLost.Value, 9);
        effect = EndpointSolver.Effect(Demo.Plain.Board, StickAxis.Yaw, Of(900, 1510, 2050));
        Assert.Equal((150, 100), (effect.Clipped.Value, effect.HighShare.Value));
        Assert.Equal(10.0 / 500 * Demo.Plain.Board.MaximumRate.Value, effect.Drift.Value, 9);
    }

    // Common practice, no source: rate = maximum (x (1 - e) + e x^3). At 80 % of the stick and e = 0.3 that is
    // 0.56 + 0.1536; 10 µs off the centre turn with little more than 1 - e of what a straight line gives.
    [Fact]
    public void The_curve_counts()
    {
        var board = Demo.Plain.Board with { Expo = new(30), MaximumRate = new(600) };
        var effect = EndpointSolver.Effect(board, StickAxis.Roll, Of(1100, 1510, 2000));
        Assert.Equal(71.36, effect.LowShare.Value, 9);
        Assert.Equal(100, effect.HighShare.Value, 9);
        Assert.Equal((1 - 0.7136) * 600, effect.RateLost.Value, 9);
        Assert.Equal(600 * ((0.7 * 0.02) + (0.3 * 0.02 * 0.02 * 0.02)), effect.Drift.Value, 9);
        Assert.Equal(0.7136 * 600, CraftResponse.Rate(board, new(1900)).Value, 9);
    }

    // Common practice, no source: centres at about 1518 to 1521 are answered by a board centre of 1520.
    [Fact]
    public void Centres_that_agree_are_the_boards_and_one_that_does_not_is_its_channels()
    {
        var sweeps = All(1000, 1520, 2000);
        sweeps[StickAxis.Roll] = Of(1000, 1518, 2000);
        sweeps[StickAxis.Yaw] = Of(1000, 1521, 2000);
        var answer = EndpointSolver.Solve(Demo.Plain, sweeps);
        Assert.Equal(1520, answer.Centre!.Value.Value);
        sweeps = All(1000, 1500, 2000);
        sweeps[StickAxis.Pitch] = Of(1000, 1530, 2000);
        answer = EndpointSolver.Solve(Demo.Plain, sweeps);
        Assert.Null(answer.Centre);
        Assert.Equal([StickAxis.Pitch], answer.OffCentre);
    }

    [Theory]
    [InlineData(1600, 1500, 2000, "/sweeps/roll/low")]
    [InlineData(1500, 1500, 1500, "/sweeps/roll/low")]
    [InlineData(1000, 1500, 1510, "/sweeps/roll/high")]
    public void What_cannot_be_measured_is_refused_by_name(double low, double centre, double high, string place)
    {
        var sweeps = All(1000, 1500, 2000);
        sweeps[StickAxis.Roll] = Of(low, centre, high);
        Assert.Equal(place, Assert.Single(EndpointSolver.Problems(sweeps)).Place);
        sweeps.Remove(StickAxis.Yaw);
        Assert.Contains(EndpointSolver.Problems(sweeps), p => p.Place == "/sweeps/yaw");
    }

    // For random transmitters and boards either place makes the board read 1000, 1500, 2000 within what is stated.
    [Fact]
    public void Each_place_puts_a_random_transmitter_right() =>
        Gen.Select(Gen.Double[-120, -70], Gen.Double[-4, 4], Gen.Double[70, 120], Gen.Enum<PulseScale>(), Gen.Bool)
            .Sample(
                (low, centre, high, scale, told) =>
                {
                    var setup = Demo.Plain with
                    {
                        Transmitter = Demo.Plain.Transmitter with { Scale = scale, TravelLimit = new Percent(150) },
                    };
                    foreach (var axis in StickAxes.All)
                        setup = setup.WithChannel(
                            axis.Word(),
                            c =>
                                c with
                                {
                                    Output = new()
                                    {
                                        Low = new Percent(Math.Round(low, 1)),
                                        Centre = new Percent(Math.Round(centre, 1)),
                                        High = new Percent(Math.Round(high, 1)),
                                    },
                                }
                        );
                    if (told)
                        setup = setup.WithBoard(b =>
                            b with
                            {
                                Spans = b.Spans.Add(
                                    StickAxis.Roll,
                                    new ChannelSpan { Low = new(1050), High = new(1930) }
                                ),
                            }
                        );
                    var answer = EndpointSolver.Solve(setup, Measured(setup));
                    foreach (var place in Enum.GetValues<CorrectionPlace>())
                    {
                        var after = EndpointEdits.At(setup, answer, place).ApplyTo(setup);
                        Assert.Empty(after.Problems);
                        foreach (var (axis, sweep) in Measured(after.Setup!))
                        {
                            var channel = answer.Channels.Single(c => c.Axis == axis);
                            // The wire's own rounding, 0.625 µs a count, comes on top; a span is told in whole microseconds.
                            var within = place == CorrectionPlace.Board ? 1.2 : channel.Ends!.Residual.Value + 1.2;
                            Assert.Equal(1000, sweep.Low.Value, within);
                            Assert.Equal(2000, sweep.High.Value, within);
                            if (place == CorrectionPlace.Transmitter)
                                Assert.Equal(1500, sweep.Centre.Value, within);
                        }
                    }
                },
                iter: Iterations.Of(40)
            );

    // The fit of a straight line by a general numeric library (Math.NET Numerics) through the ends gives the same percentages.
    [Fact]
    public void A_numeric_library_fits_the_same_ends()
    {
        var (offset, slope) = Fit.Line([-100.0, 0, 100], [1083.0, 1491, 1899]);
        var plain = Demo.Plain.WithChannel("roll", c => c with { Output = new() });
        var sweeps = All(1000, 1500, 2000);
        sweeps[StickAxis.Roll] = Of(1083, 1491, 1899);
        var ends = EndpointSolver.Solve(plain, sweeps).Channels.Single(c => c.Axis == StickAxis.Roll).Ends!;
        Assert.Equal((1000 - offset) / slope, ends.Low.Value, 0.051);
        Assert.Equal((1500 - offset) / slope, ends.Centre.Value, 0.051);
        Assert.Equal((2000 - offset) / slope, ends.High.Value, 0.051);
    }

    // What the board shows at the ends and the centre.
    private static Dictionary<StickAxis, Sweep> Measured(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        return StickAxes.All.ToDictionary(
            axis => axis,
            axis =>
            {
                Microseconds At(double setting) =>
                    setup.Board.Scaled(
                        axis,
                        plan.With(setup.Transmitter.StickOf(axis)!, setting).Received[
                            setup.Board.Map.ChannelOf(axis).Value - 1
                        ]
                    );
                return new Sweep
                {
                    Low = At(-100),
                    Centre = At(0),
                    High = At(100),
                };
            }
        );
    }

    private static Dictionary<StickAxis, Sweep> All(double low, double centre, double high) =>
        StickAxes.All.ToDictionary(a => a, _ => Of(low, centre, high));

    private static Sweep Of(double low, double centre, double high) =>
        new()
        {
            Low = new(low),
            Centre = new(centre),
            High = new(high),
        };
}
