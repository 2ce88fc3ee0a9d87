using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests.Proof;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>What the board says, met on the bench the way a pilot meets it: a refusal names what is wrong now, and, once that is put
/// right, what was wrong when the switch went on.</summary>
public sealed class BoardReportTests
{
    private const string Arm = "left-shoulder";
    private const string Lamp = "right-front-outer";

    public static TheoryData<string> Guards => [.. Refusals.Keys];

    // The setup, what makes the board refuse, what it says, what puts that right, and what it says then.
    private static readonly Dictionary<
        string,
        (Setup Setup, Action<BenchRun> Wrong, string Says, Action<BenchRun> Right, string Then)
    > Refusals = new(StringComparer.Ordinal)
    {
        ["consent"] = (
            OnOther(FunctionKind.ArmConsent, low: 1700),
            _ => { },
            "Arming consent is not given: Right front, outer gives it.",
            b => b.Move(Lamp, 3),
            "Arming consent was not given when Left shoulder went on. Put the switch off, then on."
        ),
        ["tuning"] = (
            OnOther(FunctionKind.AutomaticTune, low: 1700),
            b => b.Move(Lamp, 3),
            "Automatic trim or tuning is on.",
            b => b.Move(Lamp, 1),
            "Automatic trim or tuning was on when Left shoulder went on. Put the switch off, then on."
        ),
        ["loss on purpose"] = (
            OnOther(FunctionKind.LossProcedure, low: 1700),
            b => b.Move(Lamp, 3),
            "The loss procedure on purpose is on.",
            b => b.Move(Lamp, 1),
            "The loss procedure on purpose was on when Left shoulder went on. Put the switch off, then on."
        ),
        ["tilt"] = (
            Demo.Plain.WithGuards(g => g with { TiltLimit = new Degrees(25) }),
            b => b.Surround(new Surroundings(new Degrees(40), false, false)),
            "The craft is tilted by more than 25°.",
            b => b.Surround(default),
            "The craft was tilted too far when Left shoulder went on. Put the switch off, then on."
        ),
        ["connected"] = (
            Demo.Plain,
            b => b.Surround(new Surroundings(default, Connected: true, Unlocked: false)),
            "The board is connected for configuration. Unlock that, propellers off, or test on battery alone.",
            b => b.Surround(default),
            "The board was connected for configuration when Left shoulder went on. Put the switch off, then on."
        ),
        ["calibration"] = (
            Demo.Plain.WithGuards(g => g with { Calibration = new Milliseconds(3000) }),
            b =>
            {
                b.SetPower(false);
                b.SetPower(true);
            },
            "The board is calibrating its sensors: keep the craft still.",
            b => b.AdvanceTo(b.Now + TimeSpan.FromSeconds(3)),
            "The board was still calibrating when Left shoulder went on. Put the switch off, then on."
        ),
    };

    [Theory]
    [MemberData(nameof(Guards))]
    public void A_refusal_says_what_is_wrong_and_then_what_was(string guard)
    {
        var (setup, wrong, says, right, then) = Refusals[guard];
        var bench = new BenchRun(setup);
        After(bench, 300);
        wrong(bench);
        Assert.Equal(("Will not arm", says), Say(bench));
        bench.Move(Arm, 2);
        Assert.Equal(("Refused", says), Say(bench));
        right(bench);
        Assert.Equal(("Refused", then), Say(bench));
        bench.Move(Arm, 1);
        Assert.Equal(("Disarmed", "Ready: Left shoulder arms. Propellers off?"), Say(bench));
        bench.Move(Arm, 2);
        Assert.Equal("Armed", Say(bench).Title);
    }

    [Theory]
    [InlineData(GraceValues.Last, "The board waits 900 ms on the last values. Propellers off on the bench.")]
    [InlineData(
        GraceValues.Substituted,
        "The board waits 900 ms on centred sticks and low throttle. Propellers off on the bench."
    )]
    public void A_loss_in_grace_says_what_the_board_flies_on(GraceValues values, string says)
    {
        var bench = Armed(Demo.Plain.WithLoss(l => l with { Grace = new Milliseconds(900), GraceValues = values }));
        bench.SetLink(false);
        Assert.Equal(("Signal lost", says), Say(bench));
        Assert.Equal("Signal lost, waiting for it", bench.Noted()!.Text);
        After(bench, 1000);
        Assert.Equal("Signal lost, motors stopped", bench.Noted()!.Text);
    }

    [Theory]
    [InlineData(
        LossProcedure.Land,
        FlightRecovery.AtOnce,
        "Landing",
        "It comes down by itself and stops the motors after 5000 ms. The pilot has it back with the first good frame."
    )]
    [InlineData(
        LossProcedure.Land,
        FlightRecovery.StickMoved,
        "Landing",
        "It comes down by itself and stops the motors after 5000 ms. The pilot has it back when a stick is deflected after frames are back."
    )]
    [InlineData(
        LossProcedure.ReturnHome,
        FlightRecovery.AtOnce,
        "Flying home",
        "The board flies by itself, motors at thrust. The pilot has it back with the first good frame."
    )]
    public void A_craft_that_flies_by_itself_says_how_the_pilot_has_it_back(
        LossProcedure procedure,
        FlightRecovery recovery,
        string title,
        string says
    )
    {
        var bench = Armed(
            Demo.Plain.Located()
                .WithLoss(l =>
                    l with
                    {
                        Procedure = procedure,
                        Recovery = recovery,
                        LandingTime = new Milliseconds(5000),
                    }
                )
        );
        bench.Move("throttle", 0);
        bench.Surround(new Surroundings(default, false, false, Fix: procedure == LossProcedure.ReturnHome));
        After(bench, 100);
        bench.SetLink(false);
        Assert.Equal((title, says), Say(bench));
        After(bench, 6000);
        Assert.Equal(
            procedure == LossProcedure.Land ? "Landed, motors stopped" : "Flying home by itself",
            bench.Log.After(0).Last(e => e.Kind == LogKind.Lost).Text
        );
        // Without a fix nothing flies home.
        bench.Surround(default);
        Assert.NotEqual("Flying home", Say(bench).Title);
    }

    [Fact]
    public void Armed_it_says_what_the_motors_may_do()
    {
        var bench = Armed(Demo.Plain.WithGuards(g => g with { DisarmsOnlyWhenLow = true }));
        Assert.StartsWith("Motors may idle", Say(bench).Reason, StringComparison.Ordinal);
        bench.Move("throttle", 0);
        Assert.Equal(("Armed", "Motors may turn: throttle 50 %. Propellers off on the bench."), Say(bench));
        bench.Move(Arm, 1);
        Assert.StartsWith(
            "The switch is off, but this board disarms only",
            Say(bench).Reason,
            StringComparison.Ordinal
        );
        bench.Move("throttle", -100);
        Assert.Equal("Disarmed", Say(bench).Title);

        bench = Armed(OnOther(FunctionKind.ThrottleCut, low: 1700));
        bench.Move(Lamp, 3);
        Assert.StartsWith("Motors are held off: Trial is on.", Say(bench).Reason, StringComparison.Ordinal);
        bench.SetPower(false);
        Assert.Equal(("No power", "The craft's battery is not connected."), Say(bench));
    }

    [Fact]
    public void A_board_without_an_arm_function_or_a_way_to_it_says_so()
    {
        var without = Demo.Plain.WithBoard(b => b with { Functions = b.Functions.Remove("arm") });
        Assert.Equal(("Will not arm", "The board has no arm function."), Say(new BenchRun(without)));
        var far = Demo.Plain.WithAir(a => a with { Channels = 4 });
        Assert.Equal(
            ("Will not arm", "The board waits for AUX 1 to arm, and no control reaches it there."),
            Say(new BenchRun(far))
        );
    }

    // A function of some kind on a switch of its own, AUX 8.
    private static Setup OnOther(FunctionKind kind, double low) =>
        Demo
            .Plain.InModel(m =>
                m with
                {
                    Channels = m.Channels.Add(
                        "trial",
                        m.Channels["arm"] with
                        {
                            Label = "Trial",
                            Number = new ChannelNumber(12),
                            Take = Build.Hand(Lamp),
                        }
                    ),
                }
            )
            .WithBoard(b =>
                b with
                {
                    Functions = b.Functions.Add(
                        "trial",
                        b.Functions["arm"] with
                        {
                            Label = "Trial",
                            Kind = kind,
                            Aux = 8,
                            Control = Lamp,
                            Low = new Microseconds(low),
                            High = new Microseconds(2100),
                        }
                    ),
                }
            );

    private static BenchRun Armed(Setup setup)
    {
        var bench = new BenchRun(setup);
        After(bench, 300);
        bench.Move(Arm, 2);
        After(bench, 300);
        Assert.True(bench.Board.Armed);
        return bench;
    }

    private static (string Title, string Reason) Say(BenchRun bench)
    {
        After(bench, 400);
        var report = bench.Snapshot("throttle").Board;
        return (report.Title, report.Reason);
    }

    private static void After(BenchRun bench, double milliseconds) =>
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(milliseconds));
}
