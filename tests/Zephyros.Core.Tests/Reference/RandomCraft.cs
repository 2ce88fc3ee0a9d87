using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Makes small setups out of a seed in which everything that a proof has to do with meets: latches, delays, presses, a limiter on
/// a dial, overrides of arm and throttle, all kinds of board functions and guards, losses, receivers.</summary>
internal sealed class RandomCraft(int seed)
{
    private static readonly string[] Switches = ["left-shoulder", "left-front-outer", "right-shoulder"];
    private readonly Random random = new(seed);

    public Setup Make()
    {
        var setup = Demo.Plain;
        var conditions = random.Next(1, 4);
        for (var i = 0; i < conditions; i++)
            setup = setup.WithCondition($"c{i}", Condition(i));
        string Any() => $"c{random.Next(conditions)}";
        if (Chance(0.6))
            setup = setup.WithOverride("throttle", Any(), Chance(0.8) ? -100 : 0);
        if (Chance(0.3))
            setup = setup.WithOverride("arm", Any(), Chance(0.5) ? -100 : 100);
        if (Chance(0.4))
            setup = setup.WithStep("throttle", "share", Limiter() with { When = Any() });
        if (Chance(0.3))
            setup = setup
                .WithStep(
                    "throttle",
                    "flat",
                    new CurveStep { Order = 1, Points = Points((-100, -100), (-40, -100), (100, 100)) }
                )
                .WithStep(
                    "throttle",
                    "dial",
                    new AddStep { Order = 2, With = With(Hand("right-dial"), scale: 30, shift: 30) }
                );
        if (Chance(0.15))
            setup = setup.WithStep(
                "throttle",
                "slow",
                new SlowStep
                {
                    Order = 9,
                    Up = new(50),
                    Down = new(50),
                }
            );
        if (Chance(0.3))
            setup = setup.WithChannel("mode", c => c with { Take = new ConditionSource { Condition = Any() } });
        setup = setup with { Air = Link(setup.Air) };
        // By a number of its own, so that everything else stays as it was before there was a wander.
        if (new Random(seed).Next(4) == 0)
            setup = setup.WithBoard(b => b with { Wander = b.Wander.Add(new(3), new(40)) });
        setup = ReportedChanges.Announce(setup.WithBoard(Board));
        foreach (
            var id in setup.Model.Announcements.Keys.Where(id => !id.StartsWith("signal", StringComparison.Ordinal))
        )
            if (Chance(0.5))
                setup = setup.WithAnnouncement(id, a => a with { When = Chance(0.9) ? Any() : null });
        Assert.Empty(SetupValidator.Check(setup));
        return setup;
    }

    private static MultiplyStep Limiter() => new() { Order = 5, With = With(Hand("left-dial"), scale: 10, shift: 90) };

    private Test Condition(int number)
    {
        var older = number > 0 && Chance(0.5) ? Holds($"c{random.Next(number)}") : Leaf();
        return random.Next(6) switch
        {
            0 => new LatchTest { Set = [Leaf(), older], Clear = [Leaf()] },
            1 => new LatchTest { Set = [At("left-shoulder", 2), Low], Clear = [At("left-shoulder", 1)] },
            2 => new DelayTest
            {
                Of = [older],
                OnAfter = new(400),
                OffAfter = new(Chance(0.5) ? 0 : 700),
            },
            3 => new PressTest
            {
                Control = "left-button",
                AtLeast = new(800),
                Before = Chance(0.5) ? new(2000) : null,
            },
            4 => Any(Leaf(), Not(older)),
            _ => All(Leaf(), older),
        };
    }

    private static CompareTest Low =>
        new()
        {
            Value = Hand("throttle"),
            Relation = Relation.Below,
            Limit = new Percent(-98),
        };

    private Test Leaf() =>
        random.Next(4) switch
        {
            0 => Low,
            1 => new CompareTest
            {
                Value = Hand("left-dial"),
                Relation = Relation.Above,
                Limit = new Percent(33),
            },
            _ => At(Switches[random.Next(Switches.Length)], 2),
        };

    private LinkSettings Link(LinkSettings air)
    {
        var presets = ImmutableDictionary<ChannelNumber, Microseconds>.Empty;
        foreach (var channel in new[] { 3, 5 })
            if (Chance(0.7))
                presets = presets.Add(new(channel), new Microseconds(Chance(0.7) ? 990 : 1900));
        return air with { OnLoss = (ReceiverLoss)random.Next(3), Presets = presets };
    }

    private FlightBoard Board(FlightBoard board)
    {
        var functions = board.Functions.Remove("blended");
        foreach (
            var kind in new[]
            {
                FunctionKind.ArmConsent,
                FunctionKind.ThrottleCut,
                FunctionKind.AutomaticTune,
                FunctionKind.LossProcedure,
                FunctionKind.ZeroThrottleStabilisation,
            }
        )
            if (Chance(0.2))
                functions = functions.Add(
                    $"extra-{(int)kind}",
                    board.Functions["arm"] with
                    {
                        Kind = kind,
                        Label = kind.ToString(),
                        Control = "right-front-inner",
                        Aux = random.Next(1, 4),
                        Low = new Microseconds(random.Next(9, 17) * 100),
                        High = new Microseconds(random.Next(17, 22) * 100),
                    }
                );
        if (Chance(0.7))
            functions = functions.Remove("self-right");
        return board with
        {
            Functions = functions,
            ActivationLimit = Chance(0.3) ? new Microseconds(1060) : null,
            Guards = new ArmGuards
            {
                TiltLimit = Chance(0.3) ? new Degrees(25) : null,
                RefusesConnected = Chance(0.5),
                DisarmsOnlyWhenLow = Chance(0.3),
                RefusesThrottle = Chance(0.8),
                RefusalLatches = Chance(0.8),
                Calibration = Chance(0.3) ? new Milliseconds(900) : null,
                DisarmsAfter = Chance(0.3) ? new Milliseconds(5000) : null,
            },
            // Else there is never a fix, and no return to walk through.
            Equipment = new() { PositionReceiver = true },
            Loss = new LossSettings
            {
                Grace = new Milliseconds(Chance(0.5) ? 600 : 0),
                GraceValues = (GraceValues)random.Next(2),
                Procedure = (LossProcedure)random.Next(3),
                Recovery = (FlightRecovery)random.Next(2),
                LandingTime = new Milliseconds(3000),
                LowBefore = Chance(0.3) ? new Milliseconds(4000) : null,
            },
        };
    }

    private bool Chance(double share) => random.NextDouble() < share;
}
