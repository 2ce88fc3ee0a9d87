using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Makes setups out of a seed that are meant to slip past a proof: few parts, but those that lie about what they are. Overrides by
/// telemetry, by times of equal and unequal length, by sticks; latches that nothing lets go; curves with a notch; a throttle that follows
/// slowly; stops that do not stop; functions that are planned and then taken away; losses of every kind.</summary>
internal sealed class NastyCraft(int seed)
{
    private static readonly string[] Switches =
    [
        "left-shoulder",
        "left-front-outer",
        "right-shoulder",
        "right-back-switch",
    ];

    // Equal ones often: what ends at the same moment is what a search forgets first.
    private static readonly double[] Times = [300, 300, 300, 1000, 1000, 1010, 3000];

    private readonly Random random = new(seed);
    private int conditions;

    public Setup Make()
    {
        // Nothing is wrong with what it begins with, so that what is added stands out.
        var setup = ReportedChanges.Announce(Demo.Plain);
        if (Chance(0.7))
            setup = setup.InModel(m => m with { Sensors = Demo.Wren.Model.Sensors });
        for (var i = random.Next(2, 6); i > 0; i--)
            setup = Twist(setup);
        Assert.Empty(SetupValidator.Check(setup));
        return setup;
    }

    private Setup Twist(Setup setup) =>
        random.Next(16) switch
        {
            0 or 1 => Force(setup, "throttle"),
            2 => Force(setup, "arm"),
            3 => Force(setup, Pick("mode", "beeper")),
            4 => Notch(setup),
            5 => Guards(setup),
            6 => Loss(setup),
            7 => Receiver(setup),
            8 => Extra(setup),
            9 => Slow(setup),
            10 => Planned(setup),
            11 => ArmOn(setup),
            12 => Dial(setup),
            13 => setup.WithBoard(b => b with { ActivationLimit = new Microseconds(Pick(1040.0, 1060, 1100)) }),
            14 => setup with { Transmitter = setup.Transmitter with { RestartTime = new(Pick(100.0, 500, 3000)) } },
            _ => Chain(setup),
        };

    private T Pick<T>(params ReadOnlySpan<T> of) => of[random.Next(of.Length)];

    private bool Chance(double share) => random.NextDouble() < share;

    private (Setup Setup, string Id) Condition(Setup setup)
    {
        var id = $"c{conditions++}";
        return (setup.WithCondition(id, Test(setup)), id);
    }

    private Setup Force(Setup setup, string channel)
    {
        (setup, var when) = Condition(setup);
        return setup.WithOverride(channel, when, Pick(-100.0, -100, 0, 40, 100));
    }

    private Test Test(Setup setup)
    {
        Test older = conditions > 1 && Chance(0.3) ? Holds($"c{random.Next(conditions - 1)}") : Leaf(setup);
        return random.Next(9) switch
        {
            0 => Latch(older, Leaf(setup)),
            1 => new LatchTest { Set = [older, Leaf(setup)], Clear = [Not(Leaf(setup)), Leaf(setup)] },
            2 or 3 => new DelayTest
            {
                Of = [older],
                OnAfter = new(Pick(Times)),
                OffAfter = new(Chance(0.6) ? 0 : Pick(Times)),
            },
            // Two times that may end together: only while both or neither are over.
            4 => All(
                new DelayTest { Of = [older], OnAfter = new(Pick(Times)) },
                Not(new DelayTest { Of = [Chance(0.5) ? older : Leaf(setup)], OnAfter = new(Pick(Times)) })
            ),
            5 => new PressTest
            {
                Control = "left-button",
                AtLeast = new(Pick(400.0, 800)),
                Before = Chance(0.5) ? new(2000) : null,
            },
            6 => All(older, Not(Leaf(setup))),
            _ => older,
        };
    }

    private Test Leaf(Setup setup)
    {
        var sensor = setup.Model.Sensors.Keys.Order(StringComparer.Ordinal).FirstOrDefault();
        return random.Next(8) switch
        {
            0 => Below(Hand("throttle"), Pick(-98.0, -90, 0)),
            1 => Above(Hand("throttle"), Pick(-98.0, -50, 60)),
            2 => Above(Hand(Pick("left-dial", "roll")), Pick(-100.0, 0, 33)),
            3 => new TelemetryLostTest(),
            4 or 5 when sensor is not null => Reading(setup, sensor),
            _ => At(Pick(Switches), Pick(1, 2)),
        };
    }

    // Also limits that every reading, or none, is beyond.
    private SensorTest Reading(Setup setup, string sensor)
    {
        var (low, high) = (setup.Model.Sensors[sensor].Lowest.Value, setup.Model.Sensors[sensor].Highest.Value);
        return new SensorTest
        {
            Sensor = sensor,
            Relation = Pick(Relation.Below, Relation.Above),
            Limit = new(Pick(low + ((high - low) * 0.6), low, high, high + 10)),
        };
    }

    private Setup Notch(Setup setup)
    {
        var at = Pick(-95.0, -60, 10, 71);
        return setup.WithStep(
            "throttle",
            "notch",
            new CurveStep
            {
                Order = 1,
                Points = Points(
                    (-100, -100),
                    (at, Pick(at, 20)),
                    (at + 1, Pick(at - 1, at + 1, at - 15)),
                    (at + 2, at + 2),
                    (100, 100)
                ),
                Smooth = false,
            }
        );
    }

    private Setup Guards(Setup setup) =>
        setup.WithBoard(b =>
            b with
            {
                Guards = new ArmGuards
                {
                    TiltLimit = Chance(0.3) ? new Degrees(25) : null,
                    RefusesConnected = Chance(0.5),
                    DisarmsOnlyWhenLow = Chance(0.2),
                    RefusesThrottle = Chance(0.7),
                    RefusalLatches = Chance(0.7),
                    Calibration = Chance(0.3) ? new Milliseconds(900) : null,
                    DisarmsAfter = Chance(0.3) ? new Milliseconds(5000) : null,
                },
            }
        );

    private Setup Loss(Setup setup) =>
        setup.WithBoard(b =>
            b with
            {
                SignalTimeout = new(Pick(200.0, 600, 1500)),
                Equipment = b.Equipment with { PositionReceiver = true },
                Loss = new LossSettings
                {
                    Grace = new Milliseconds(Pick(0.0, 600, 2000)),
                    GraceValues = (GraceValues)random.Next(2),
                    Procedure = (LossProcedure)random.Next(3),
                    Recovery = (FlightRecovery)random.Next(2),
                    LandingTime = new Milliseconds(3000),
                    LowBefore = Chance(0.3) ? new Milliseconds(1000) : null,
                    FlownOnly = Chance(0.5),
                },
            }
        );

    private Setup Receiver(Setup setup)
    {
        var presets = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        foreach (var channel in new[] { 3, 5 })
            if (Chance(0.7))
                presets = presets.Add(new(channel), new Microseconds(Pick(990.0, 1900)));
        return setup with { Air = setup.Air with { OnLoss = (ReceiverLoss)random.Next(3), Presets = presets } };
    }

    private Setup Extra(Setup setup)
    {
        var kind = Pick(
            FunctionKind.ThrottleCut,
            FunctionKind.ThrottleCut,
            FunctionKind.ArmConsent,
            FunctionKind.LossProcedure,
            FunctionKind.ZeroThrottleStabilisation,
            FunctionKind.AutomaticTune
        );
        var control = Pick(Switches);
        return setup.WithBoard(b =>
            b with
            {
                Functions = b.Functions.SetItem(
                    $"extra-{(int)kind}",
                    b.Functions["arm"] with
                    {
                        Kind = kind,
                        Label = kind.ToString(),
                        // It says that a control works it which may never reach its channel.
                        Control = control,
                        Aux = random.Next(1, 5),
                        Low = new Microseconds(Pick(900.0, 1300, 1700)),
                        High = new Microseconds(2100),
                        Planned = [],
                    }
                ),
            }
        );
    }

    private Setup Slow(Setup setup) =>
        setup.WithStep(
            "throttle",
            "slow",
            new SlowStep
            {
                Order = 9,
                Up = new(Pick(50.0, 200)),
                Down = new(Pick(0.0, 50, 200)),
            }
        );

    private Setup Planned(Setup setup)
    {
        var id = Pick(setup.Board.Functions.Keys.Order(StringComparer.Ordinal).ToArray());
        var function = setup.Board.Functions[id];
        return
            setup.Transmitter.Controls.TryGetValue(function.Control, out var control) && control is SwitchControl made
            ? setup.WithBoard(b =>
                b with
                {
                    Functions = b.Functions.SetItem(
                        id,
                        function with
                        {
                            Planned = [random.Next(1, made.Positions + 1)],
                        }
                    ),
                }
            )
            : setup;
    }

    private Setup ArmOn(Setup setup)
    {
        var control = Pick("left-dial", "left-button", "right-shoulder");
        return setup
            .WithChannel("arm", c => c with { Take = Hand(control) })
            .WithArm(f => f with { Control = control, Planned = [] });
    }

    private Setup Dial(Setup setup) =>
        setup.WithStep(
            "throttle",
            "dial",
            Chance(0.5)
                ? new AddStep { Order = 5, With = With(Hand("right-dial"), scale: Pick(10, 30), shift: 0) }
                : new MultiplyStep { Order = 5, With = With(Hand("right-dial"), scale: 25, shift: 75) }
        );

    private Setup Chain(Setup setup)
    {
        (setup, var when) = Condition(setup);
        return setup.WithStep(
            "throttle",
            "share",
            new ScaleStep
            {
                Order = 7,
                Scale = new(Pick(50.0, 90)),
                Shift = new(Pick(-10.0, 0, 10)),
                When = when,
            }
        );
    }
}
