using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Faults of what the board does on a loss, and the same as it should be.</summary>
internal static class LossFaults
{
    private static readonly LossSettings Lands = new()
    {
        Procedure = LossProcedure.Land,
        LandingTime = new(20_000),
        Recovery = FlightRecovery.StickMoved,
        FlownOnly = true,
    };

    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["landing-too-short"] = With(l => l with { LandingTime = new(19_000) }),
            ["loss-not-set-anew"] = NewSetup.Copy(Demo.Plain, "Tern"),
            ["grace-outlasts-fall"] = With(l => l with { Grace = new(3000), GraceValues = GraceValues.Substituted }),
            ["recovery-throws"] = With(l => l with { Recovery = FlightRecovery.AtOnce }),
            ["timeout-too-short"] = Demo.Plain.WithBoard(b =>
                b with
                {
                    SignalTimeout = new((3 * Demo.Plain.Wire.FramePeriod.Value) - 1),
                }
            ),
            ["no-locator-beeper"] = Silenced(With(l => l)),
            // Its way home is reckoned with 800 m.
            ["trigger-beyond:far-out"] = Demo.Clean.CalledHomeBeyond(810),
            ["return-without-fix"] = With(Homeward)
                .WithBoard(b => b with { Equipment = b.Equipment with { PositionReceiver = false } }),
            ["return-too-near"] = Home(f => f with { Pilot = new(19) }),
            ["return-against-wind"] = Home(f => f with { Wind = new(8) }),
            ["return-beyond-battery"] = Home(f => f with { Pilot = new(2500) }),
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["a landing that just lasts"] = With(l => l),
            ["a copy on which the loss was set"] = SetAnew(NewSetup.Copy(Demo.Plain, "Tern")),
            ["a landing that just lasts from where it climbs to"] = Climbing(22_000),
            ["a grace time shorter than the fall"] = With(l =>
                l with
                {
                    Grace = new(2000),
                    GraceValues = GraceValues.Substituted,
                }
            ),
            ["a long grace time on the last values"] = With(l => l with { Grace = new(3000) }),
            ["a craft without a beeper that nobody loses"] = Silenced(Demo.Plain),
            ["a craft that beeps once it is down"] = Silenced(With(l => l with { Beeper = LossBeeper.WhenDown })),
            ["a board that waits for three frames"] = Demo.Plain.WithBoard(b =>
                b with
                {
                    SignalTimeout = new(3 * Demo.Plain.Wire.FramePeriod.Value),
                }
            ),
            ["a craft that is called home in time"] = Demo.Clean.CalledHomeBeyond(800),
            ["a craft that is called home as far as it is seen"] = Seen(800).CalledHomeBeyond(800),
            ["a return from the smallest distance"] = Home(f => f with { Pilot = new(20) }),
            ["a return against a wind that is slower"] = Home(f => f with { Wind = new(7), Pilot = new(20) }),
        };

    private static Setup SetAnew(Setup setup) =>
        Examination.Of(setup).Single(f => f.Key == "loss-not-set-anew").Fixes[0].Edit.ApplyTo(setup).Setup!;

    // 0.461 s at 4 m/s until the board lands, 2 m; then it stops climbing after 0.41 s and 0.8 m, and comes down in 21.4 s.
    public static Setup Climbing(double landing)
    {
        var setup = With(l => l with { LandingTime = new(landing) });
        return setup with { Craft = setup.Craft with { AtLoss = setup.Craft.AtLoss! with { Climb = new(4) } } };
    }

    private static Setup Seen(double metres) =>
        Demo.Clean with
        {
            Craft = Demo.Clean.Craft with { AtLoss = FlightAtLoss.Usual with { Sight = new(metres) } },
        };

    // Forty metres: 20 s at 2 m/s, and 2.86 s in a fall.
    private static Setup With(Func<LossSettings, LossSettings> change)
    {
        var setup = Demo.Plain.WithBoard(b => b with { Loss = change(Lands) });
        return setup with { Craft = setup.Craft with { AtLoss = FlightAtLoss.Usual with { Height = new(40) } } };
    }

    private static Setup Silenced(Setup setup) =>
        setup.WithBoard(b =>
            b with
            {
                Functions = b.Functions.RemoveRange(
                    b.Functions.Where(f => f.Value.Kind == FunctionKind.Beeper).Select(f => f.Key)
                ),
            }
        );

    private static LossSettings Homeward(LossSettings loss) => loss with { Procedure = LossProcedure.ReturnHome };

    // Home at 8 m/s through the air, 5 m/s of wind against it: 2 500 m take 14 min, more than the battery has at half throttle.
    private static Setup Home(Func<FlightAtLoss, FlightAtLoss> change)
    {
        var setup = With(Homeward).WithBoard(b => b with { Equipment = b.Equipment with { PositionReceiver = true } });
        return setup with
        {
            Craft = setup.Craft with
            {
                AtLoss = change(setup.Craft.AtLoss! with { Pilot = new(200) }),
                Battery = new FlightBattery { Capacity = new(1300), FullCurrent = new(90) },
                WayHome = null,
            },
        };
    }
}
