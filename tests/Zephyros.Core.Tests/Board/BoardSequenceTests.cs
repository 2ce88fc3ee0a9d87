using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

/// <summary>What a board is, exactly, after every step of a sequence, the rare ones too.</summary>
/// <remarks>A sequence is a row of "step:state". A step in small letters is a good frame: l throttle low, t at thrust, a arm switch on,
/// c and e either of two consents, u automatic tuning, s turning over, z stabilising, x and y either of two throttle cuts, h loss procedure
/// on purpose, d a stick deflected, - none of these. In capitals: P power, L frames missing, G grace, Z landing, T low for long, D disarm
/// by itself and C calibration over, F and O a fix comes and goes; N level, K 26 and H 90 degrees, U on its back; B a cable,
/// E unlocked. A state that is not looked at is left out; its words are those of
/// <see cref="BoardWords"/>.</remarks>
public sealed class BoardSequenceTests
{
    private static readonly FlightBoard Bare = Demo.Plain.Board with { Guards = new ArmGuards(), Loss = new() };

    private static FlightBoard With(params (string Id, FunctionKind Kind, int Aux)[] functions) =>
        Bare with
        {
            Functions = Bare.Functions.AddRange(
                functions.Select(f =>
                    KeyValuePair.Create(f.Id, Bare.Functions["arm"] with { Kind = f.Kind, Aux = f.Aux, Control = "" })
                )
            ),
        };

    private static FlightBoard Losing(LossSettings loss) =>
        With(("h", FunctionKind.LossProcedure, 9)) with
        {
            Loss = loss,
        };

    private static FlightBoard Guarded(ArmGuards guards) => Bare with { Guards = guards };

    private static readonly Dictionary<string, FlightBoard> Boards = new(StringComparer.Ordinal)
    {
        ["bare"] = Bare,
        ["unlatched"] = Guarded(new ArmGuards { RefusalLatches = false, DisarmsAfter = new Milliseconds(5000) }),
        ["only when low"] = Guarded(new ArmGuards { DisarmsOnlyWhenLow = true }),
        ["any throttle"] = Guarded(new ArmGuards { RefusesThrottle = false }),
        ["calibrates"] = Guarded(new ArmGuards { Calibration = new Milliseconds(900) }),
        ["rights"] = With(("s", FunctionKind.SelfRight, 6), ("x", FunctionKind.ThrottleCut, 7)) with
        {
            Guards = new ArmGuards { TiltLimit = new Degrees(25) },
            Loss = new LossSettings { Procedure = LossProcedure.Land, FlownOnly = true },
        },
        ["stabilises"] = With(
            ("z", FunctionKind.ZeroThrottleStabilisation, 6),
            ("x", FunctionKind.ThrottleCut, 7),
            ("y", FunctionKind.ThrottleCut, 8)
        ),
        ["everything"] = With(
            ("c", FunctionKind.ArmConsent, 6),
            ("e", FunctionKind.ArmConsent, 7),
            ("u", FunctionKind.AutomaticTune, 8),
            ("h", FunctionKind.LossProcedure, 9)
        ) with
        {
            Guards = new ArmGuards
            {
                RefusalLatches = false,
                TiltLimit = new Degrees(25),
                Calibration = new Milliseconds(900),
            },
        },
        ["stops"] = Losing(new LossSettings { LowBefore = new Milliseconds(9000) }),
        ["grace, held"] = With(("z", FunctionKind.ZeroThrottleStabilisation, 6)) with
        {
            Loss = new LossSettings { Grace = new Milliseconds(300) },
        },
        ["grace, substituted"] = With(("z", FunctionKind.ZeroThrottleStabilisation, 6)) with
        {
            Loss = new LossSettings { Grace = new Milliseconds(300), GraceValues = GraceValues.Substituted },
        },
        ["grace, then lands"] = Losing(
            new LossSettings { Grace = new Milliseconds(300), Procedure = LossProcedure.Land }
        ),
        ["grace, then home"] = Losing(
            new LossSettings { Grace = new Milliseconds(300), Procedure = LossProcedure.ReturnHome }
        ),
        ["lands"] = Losing(new LossSettings { Procedure = LossProcedure.Land, LowBefore = new Milliseconds(9000) }),
        ["lands until moved"] = Losing(
            new LossSettings { Procedure = LossProcedure.Land, Recovery = FlightRecovery.StickMoved }
        ),
        ["goes home"] = Losing(new LossSettings { Procedure = LossProcedure.ReturnHome }),
        ["lands once flown"] = Losing(new LossSettings { Procedure = LossProcedure.Land, FlownOnly = true }),
    };

    // A proof looks at what lets a motor turn: a stick that ends a landing does, with no function that asks for it.
    [Theory]
    [InlineData("bare", false)]
    [InlineData("stops", false)]
    [InlineData("lands", false)]
    [InlineData("lands until moved", true)]
    public void A_deflected_stick_matters_where_it_brings_the_craft_back(string settings, bool matters)
    {
        var board = Boards[settings] with
        {
            Functions = Boards[settings]
                .Functions.Where(f =>
                    f.Value.Kind is not (FunctionKind.SelfRight or FunctionKind.ZeroThrottleStabilisation)
                )
                .ToImmutableDictionary(StringComparer.Ordinal),
        };
        Assert.Equal(matters, (new BoardPlan(board).MotorBits & BoardView.DeflectedBit) != 0);
    }

    // Nobody is refused anything by a board that is off or armed, whatever stood before.
    [Fact]
    public void A_board_that_is_off_or_armed_refuses_nothing()
    {
        Assert.Equal(ArmRefusal.None, BoardState.Off.Refusal);
        var refusing = BoardMachine.PowerUp(new BoardPlan(Bare)) with { ArmRequested = true };
        Assert.Equal(ArmRefusal.NoSignal, refusing.Refusal);
        Assert.Equal(ArmRefusal.None, (refusing with { Armed = true }).Refusal);
    }

    [Theory]
    [InlineData(
        "bare",
        "P:stands/none!SwitchOnAtPowerUp l:stands al:idles at:thrusts a:idles t:stands at:stands?!ThrottleNotLow al:stands?!ThrottleNotLow l:stands al:idles"
    )]
    [InlineData(
        "bare",
        "P a:stands?!SwitchOnAtPowerUp L:stands/none!SwitchOnAtSignalReturn a:stands?!SwitchOnAtSignalReturn l:stands"
    )]
    [InlineData(
        "bare",
        "P l G:stands Z:stands T:stands D:stands C:stands O:stands al:idles G:idles Z:idles T:idles D:idles L:stands/none!SwitchOnAtSignalReturn L:stands/none!SwitchOnAtSignalReturn"
    )]
    [InlineData("bare", "P l B al:stands?!Connected E al:stands?!Connected l al:idles B al:idles U al:idles")]
    [InlineData(
        "unlatched",
        "P al:stands?!SwitchOnAtPowerUp al:stands?!SwitchOnAtPowerUp l:stands at:stands?!ThrottleNotLow al:idles"
    )]
    [InlineData(
        "unlatched",
        "P l al:idles L:stands/none!SwitchOnAtSignalReturn al:stands?!SwitchOnAtSignalReturn l:stands al:idles"
    )]
    [InlineData(
        "unlatched",
        "P l al:idles D:stands?!StoppedByItself al:stands?!StoppedByItself l:stands al:idles at:thrusts D:thrusts a:idles D:idles"
    )]
    [InlineData("only when low", "P l al:idles at:thrusts t:thrusts? -:idles? l:stands al:idles l:stands")]
    [InlineData("any throttle", "P t:stands at:thrusts t:stands")]
    [InlineData(
        "calibrates",
        "P:stands/none!SwitchOnAtPowerUp+calibrating l:stands+calibrating al:stands?!Calibrating+calibrating C:stands?!Calibrating al:stands?!Calibrating l:stands al:idles"
    )]
    [InlineData("rights", "P l asl:idles asld:idles ast:thrusts+flown")]
    [InlineData("rights", "P l U al:stands?!Tilted l:stands asl:rights asld:turns asldx:lies asl:rights N asld:turns")]
    [InlineData("rights", "P l U asl:rights asd:turns as:rights at:rights al:idles at:thrusts+flown")]
    [InlineData("rights", "P l U asl asld:turns L:stands/none!SwitchOnAtSignalReturn")]
    [InlineData("rights", "P l H asl:stands?!Tilted l K asl:stands?!Tilted l:stands N asl:idles")]
    [InlineData(
        "stabilises",
        "P l al:idles ald:idles alz:steers alzd:thrusts at:thrusts atx:armed aty:armed alzdy:armed at:thrusts"
    )]
    [InlineData(
        "everything",
        "P l B U at:stands?!ThrottleNotLow+calibrating al:stands?!ConsentMissing+calibrating alcuh:stands?!ConflictingFunction+calibrating alch:stands?!LossProcedureOn+calibrating alc:stands?!Tilted+calibrating K alc:stands?!Tilted+calibrating N alc:stands?!Connected+calibrating E alc:stands?!Calibrating+calibrating C alc:idles al:idles"
    )]
    [InlineData(
        "everything",
        "P C l ale:idles l:stands alce:idles l:stands al:stands?!ConsentMissing ale:idles alu:idles"
    )]
    [InlineData(
        "stops",
        "P l alh:stands?!LossProcedureOn l:stands al at:thrusts ath:stands?!StoppedByItself at:stands?!StoppedByItself lh:stands al:idles"
    )]
    [InlineData(
        "stops",
        "P l al at:thrusts T:thrusts L:stands/none!SwitchOnAtSignalReturn at:stands?!SwitchOnAtSignalReturn"
    )]
    [InlineData(
        "grace, held",
        "P l al at:thrusts L:thrusts/grace L:thrusts/grace at:thrusts L:thrusts/grace G:stands/none!SwitchOnAtSignalReturn al:stands?!SwitchOnAtSignalReturn"
    )]
    [InlineData("grace, held", "P l al alz:steers L:steers/grace l:stands L:stands/none!SwitchOnAtSignalReturn")]
    [InlineData(
        "grace, substituted",
        "P l al at:thrusts L:idles/grace at:thrusts L:idles/grace G:stands/none!SwitchOnAtSignalReturn"
    )]
    [InlineData("grace, substituted", "P l al alz:steers L:steers/grace al:idles L:idles/grace")]
    [InlineData(
        "lands",
        "P l al at:thrusts L:thrusts/landing ath:thrusts/landing at:thrusts ath:thrusts/landing Z:stands/none!StoppedByItself at:stands?!StoppedByItself l:stands"
    )]
    [InlineData(
        "lands",
        "P l al:idles T:idles+long al:idles+long L:stands/none!SwitchOnAtSignalReturn l:stands al:idles"
    )]
    [InlineData("lands", "P l al T:idles+long at:thrusts al:idles L:thrusts/landing l:stands")]
    [InlineData("lands", "P l al T:idles+long ath:stands?!StoppedByItself")]
    // How long it idled before it was disarmed is forgotten: a loss soon after the next start is none after long idling.
    [InlineData("lands", "P l al T:idles+long l:stands al:idles L:thrusts/landing")]
    [InlineData(
        "lands until moved",
        "P l al at L:thrusts/landing at:thrusts/landing al:thrusts/landing atd:thrusts L:thrusts/landing atdh:thrusts/landing l:stands"
    )]
    [InlineData(
        "goes home",
        "P l al at L:thrusts/landing al:idles F L:thrusts/returning Z:thrusts/returning F at:thrusts L:thrusts/returning O:thrusts/landing O:thrusts/landing Z:stands/none!StoppedByItself"
    )]
    [InlineData(
        "goes home",
        "P l al at F ath:thrusts/returning ath:thrusts/returning at:thrusts O:thrusts ath:thrusts/landing"
    )]
    [InlineData(
        "lands once flown",
        "P l al:idles L:stands/none!SwitchOnAtSignalReturn l al:idles at:thrusts+flown al:idles+flown L:thrusts/landing+flown at:thrusts+flown l:stands al:idles alh:stands?!StoppedByItself"
    )]
    public void Each_step_leads_to_exactly_one_state(string settings, string sequence)
    {
        var plan = new BoardPlan(Boards[settings]);
        var state = BoardState.Off;
        var around = default(Surroundings);
        foreach (var word in sequence.Split(' '))
        {
            var (step, expected) = (word.Split(':')[0], word.Split(':').ElementAtOrDefault(1));
            around = Around(around, step[0]);
            state = Take(plan, state, step, around);
            if (expected is not null)
                Assert.Equal($"{step}:{expected}", $"{step}:{BoardWords.Tell(state)}");
        }
    }

    [Fact]
    public void Without_power_no_timer_runs_and_nothing_elapses() =>
        Assert.All(
            Enum.GetValues<BoardTimer>(),
            timer =>
            {
                var plan = new BoardPlan(Boards["unlatched"]);
                Assert.False(BoardMachine.Runs(plan, BoardState.Off, timer));
                Assert.Equal(BoardState.Off, BoardMachine.Elapse(plan, BoardState.Off, timer, fix: true));
            }
        );

    private static Surroundings Around(Surroundings now, char step) =>
        step switch
        {
            'N' => now with { Tilt = new Degrees(0) },
            'K' => now with { Tilt = new Degrees(26) },
            'H' => now with { Tilt = new Degrees(90) },
            'U' => now with { Tilt = new Degrees(180) },
            'B' => now with { Connected = true },
            'E' => now with { Unlocked = true },
            'F' => now with { Fix = true },
            'O' => now with { Fix = false },
            _ => now,
        };

    private static BoardState Take(BoardPlan plan, BoardState state, string step, Surroundings around)
    {
        BoardState Over(BoardTimer timer) => BoardMachine.Elapse(plan, state, timer, around.Fix);
        return step[0] switch
        {
            'P' => BoardMachine.PowerUp(plan),
            'L' => Over(BoardTimer.FramesMissing),
            'G' => Over(BoardTimer.Grace),
            'Z' => Over(BoardTimer.Landing),
            'T' => Over(BoardTimer.LowBefore),
            'D' => Over(BoardTimer.AutomaticDisarm),
            'C' => Over(BoardTimer.Calibration),
            'O' => BoardMachine.LoseFix(state),
            >= 'A' and <= 'Z' => state,
            _ => BoardMachine.Receive(plan, state, View(plan, step), around),
        };
    }

    private static BoardView View(BoardPlan plan, string letters) =>
        new(
            letters.Aggregate(
                0UL,
                (bits, letter) =>
                    bits
                    | letter switch
                    {
                        '-' => 0,
                        'l' => BoardView.LowBit,
                        't' => BoardView.ThrustBit,
                        'd' => BoardView.DeflectedBit,
                        'a' => plan.ArmBits,
                        _ => BoardPlan.BitOf(plan.Functions.Index().Single(f => f.Item.Key == $"{letter}").Index),
                    }
            )
        );
}
