using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Findings;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.ReadyMade;

public sealed class ReturnByDistanceTests
{
    private const int Home = 9;

    // A craft whose right shoulder calls it home, on the last channel.
    private static readonly Setup Flown = Homeward(1700, 2100);

    [Fact]
    public void The_craft_is_called_beyond_the_distance_and_let_go_well_inside()
    {
        var bench = new BenchRun(Flown.ReadyMade("return-by-distance", ("beyond", "300")));
        bench.Surround(new Surroundings(default, false, false, Fix: true));
        Assert.False(Called(After(100, 5)));
        // A gust throws the position out for less than the two seconds.
        Assert.False(Called(After(320, 1)));
        Assert.False(Called(After(250, 1)));
        Assert.True(Called(After(320, 4)));
        Assert.True(Called(After(230, 4)));
        Assert.False(Called(After(220, 2)));

        BenchSnapshot After(double metres, double seconds)
        {
            bench.SetDistance(new Kilometres(metres / 1000));
            bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(seconds));
            return bench.Snapshot("throttle");
        }
    }

    [Fact]
    public void A_position_takes_it_back_and_a_lost_return_leg_does_not()
    {
        var rig = new ModelRig(
            Flown.ReadyMade("return-by-distance", ("beyond", "300"), ("back", "right-back-switch:2"))
        );
        rig.Report("distance", 301).Pass(1999);
        Assert.Equal(988, rig.Sent[Home - 1]);
        rig.Pass(1);
        Assert.True(rig.Sent[Home - 1] > 1700);
        rig.TelemetryLost = true;
        Assert.True(rig.Pass(60_000).Sent[Home - 1] > 1700);
        Assert.Equal(988, rig.Put("right-back-switch", 2).Sent[Home - 1]);
        Assert.True(rig.Put("right-back-switch", 1).Sent[Home - 1] > 1700);
    }

    // What it begins with is the nearest of what bounds it, in whole tens: link, battery and sight.
    [Fact]
    public void It_begins_inside_link_battery_and_sight()
    {
        Assert.Equal(10 * Math.Floor(Warns(Flown) / 10), Begins(Flown));
        Assert.True(Warns(Flown) > 500);
        var way = Demo.Sandpiper.Craft.WayHome! with { Distance = new(438) };
        var powered = Flown with { Craft = Flown.Craft with { WayHome = way } };
        Assert.Equal(430, Begins(powered));
        var seen = powered with
        {
            Craft = powered.Craft with { AtLoss = FlightAtLoss.Usual with { Sight = new(199) } },
        };
        Assert.Equal(190, Begins(seen));
        foreach (var setup in new[] { Flown, powered, seen })
        {
            Assert.Empty(Late(setup.ReadyMade("return-by-distance")));
            var far = setup.ReadyMade("return-by-distance", ("beyond", Figures.Plain(Begins(setup) + 11)));
            // Its own fix asks for what is begun with.
            var nearer = Assert.Single(Assert.Single(Late(far)).Fixes).Edit.ApplyTo(far).Setup!;
            Assert.Empty(Late(nearer));
        }

        static double Warns(Setup setup) =>
            LinkBudget.PracticalReach(setup.Air, LinkBudget.MarginAt(setup.Air.WarnBelow)).Value * 1000;
        static double Begins(Setup setup) =>
            double.Parse(
                Core.ReadyMade.ReadyMadeChains.Find("return-by-distance")!
                    .Parameters(setup)
                    .Single(p => p.Name == "beyond")
                    .Default,
                System.Globalization.CultureInfo.InvariantCulture
            );
        static Finding[] Late(Setup setup) =>
            [.. Examination.Of(setup).Where(f => f.Key.StartsWith("trigger-beyond", StringComparison.Ordinal))];
    }

    // By the whole path, wire and all: the forced value lies in the band wherever that is, or the chain is refused and no value would.
    [Fact]
    public void The_forced_value_calls_the_function_or_there_is_none()
    {
        var random = new Random(2112);
        var (built, refused) = (0, 0);
        for (var i = 0; i < 400; i++)
        {
            var low = 800 + (25 * random.Next(0, 52));
            var high = Math.Min(low + (25 * random.Next(1, 20)), 2200);
            var scale = (PulseScale)random.Next(3);
            var setup = Homeward(low, high) with { Transmitter = Demo.Plain.Transmitter with { Scale = scale } };
            var reach = 100 * scale.MicrosecondsPerPercent();
            var (made, arguments) = Try(setup, "return-by-distance", ("beyond", "100"), ("wait", "0"));
            if (made is null)
            {
                Assert.Equal("/function", Assert.Single(arguments.Problems).Place);
                Assert.True(high <= 1500 - reach + 10 || low >= 1500 + reach - 10, $"{low} to {high}, {scale}");
                refused++;
                continue;
            }

            Assert.Empty(SetupValidator.Check(made.Setup));
            var bench = new BenchRun(made.Setup);
            bench.SetDistance(new Kilometres(0.2));
            bench.AdvanceTo(TimeSpan.FromSeconds(3));
            var arrives = bench.Snapshot("throttle").Received[Home - 1].Value;
            Assert.InRange(arrives, low, high - 0.001);
            built++;
        }

        Assert.True(built > 100 && refused > 20, $"{built} built, {refused} refused");
    }

    // Where arming shares the channel, a forced value must not disarm the craft in the air.
    [Fact]
    public void A_craft_is_never_disarmed_to_be_called_home()
    {
        var arm = Demo.Plain.Board.Functions["arm"];
        foreach (var (low, high) in new[] { (900, 1500), (1300, 1800), (1700, 2100) })
        {
            var setup = Flown.WithFunction(
                "home",
                f => f with { Aux = arm.Aux, Low = new(low), High = new(high), Control = arm.Control }
            );
            var (made, arguments) = Try(setup, "return-by-distance", ("beyond", "100"));
            if (made is null)
            {
                Assert.Contains(
                    "leaves the craft armed",
                    Assert.Single(arguments.Problems).Reason,
                    StringComparison.Ordinal
                );
                Assert.True(high <= arm.Low.Value + 10);
                continue;
            }

            var forced = made.Setup.Model.Overrides.Values.Single(o => o.Label == "Called home").Value;
            Assert.True(arm.Contains(setup.Transmitter.Scale.ToMicroseconds(forced)));
        }
    }

    [Fact]
    public void A_board_that_cannot_fly_home_is_not_called()
    {
        var (made, arguments) = Try(Demo.Plain, "return-by-distance", ("beyond", "100"));
        Assert.Null(made);
        Assert.Contains(arguments.Problems, p => p.Reason.Contains("nothing to call", StringComparison.Ordinal));
        // A position that does on purpose what a loss does: stopped motors are no way home.
        var drops = Flown.WithFunction("home", f => f with { Kind = FunctionKind.LossProcedure });
        Assert.Null(Try(drops, "return-by-distance").Built);
        var returns = drops.WithBoard(b => b with { Loss = new() { Procedure = LossProcedure.ReturnHome } });
        Assert.NotNull(Try(returns, "return-by-distance").Built);
    }

    private static bool Called(BenchSnapshot snapshot) => snapshot.Received[Home - 1].Value is > 1700 and < 2100;

    private static Setup Homeward(double low, double high)
    {
        var located = Demo.Plain.Located();
        return located
            .InModel(m =>
                m with
                {
                    Channels = m.Channels.SetItem(
                        "home",
                        new Channel
                        {
                            Number = new ChannelNumber(Home),
                            Label = "Return home",
                            Take = Hand("right-shoulder"),
                        }
                    ),
                }
            )
            .WithBoard(b =>
                b with
                {
                    Functions = b.Functions.SetItem(
                        "home",
                        new BoardFunction
                        {
                            Kind = FunctionKind.ReturnHome,
                            Label = "Return home",
                            Control = "right-shoulder",
                            Aux = Home - 4,
                            Low = new(low),
                            High = new(high),
                            Planned = [2],
                        }
                    ),
                }
            );
    }
}
