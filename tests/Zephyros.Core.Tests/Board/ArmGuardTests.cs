using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

/// <summary>Every guard of a board that has them all. The plain setup: throttle on channel 3, arming on 5 (AUX 1); consent is put on
/// AUX 4, automatic tuning on AUX 5, stabilisation at zero throttle on AUX 6.</summary>
public sealed class ArmGuardTests
{
    private const double On = 1900;
    private const double Off = 1100;

    private static readonly BoardPlan Guarded = Board(new ArmGuards { TiltLimit = new Degrees(25) });

    // One thing is wrong at a time when the switch goes on.
    public static TheoryData<double, double, double, double, bool, bool, ArmRefusal> Table =>
        new()
        {
            { 1000, On, Off, 10, false, false, ArmRefusal.None },
            { 1000, On, Off, 25, false, false, ArmRefusal.None },
            { 1015, On, Off, 10, false, false, ArmRefusal.ThrottleNotLow },
            { 1000, Off, Off, 10, false, false, ArmRefusal.ConsentMissing },
            { 1000, On, On, 10, false, false, ArmRefusal.ConflictingFunction },
            { 1000, On, Off, 25.1, false, false, ArmRefusal.Tilted },
            { 1000, On, Off, 10, true, false, ArmRefusal.Connected },
            { 1000, On, Off, 10, true, true, ArmRefusal.None },
        };

    [Theory]
    [MemberData(nameof(Table))]
    public void Each_guard_refuses_and_stands_until_the_switch_was_off(
        double throttle,
        double consent,
        double tuning,
        double tilt,
        bool connected,
        bool unlocked,
        ArmRefusal refusal
    )
    {
        var around = new Surroundings(new Degrees(tilt), connected, unlocked);
        var state = See(BoardMachine.PowerUp(Guarded), Frame(1000, Off, Off, Off));
        state = See(state, Frame(throttle, On, consent, tuning), around);
        Assert.Equal((refusal == ArmRefusal.None, refusal), (state.Armed, state.Refusal));
        // Putting it right with the switch on does not arm; the switch off and on does.
        state = See(state, Frame(1000, On, On, Off));
        Assert.Equal(refusal == ArmRefusal.None, state.Armed);
        state = See(state, Frame(1000, Off, On, Off));
        Assert.True(See(state, Frame(1000, On, On, Off)).Armed);
    }

    [Fact]
    public void It_arms_exactly_when_all_guards_are_satisfied_and_none_of_them_takes_the_motors_away_in_flight()
    {
        for (var wrong = 0; wrong < 32; wrong++)
        {
            bool Bit(int n) => (wrong >> n & 1) != 0;
            var around = new Surroundings(new Degrees(Bit(0) ? 90 : 0), Connected: Bit(1), Unlocked: false);
            Microseconds[] With(double arm) => Frame(Bit(2) ? 1500 : 1000, arm, Bit(3) ? Off : On, Bit(4) ? On : Off);
            var ready = See(BoardMachine.PowerUp(Guarded), Frame(1000, Off, Off, Off));
            Assert.Equal(wrong == 0, See(ready, With(On), around).Armed);
            var armed = See(ready, Frame(1000, On, On, Off));
            Assert.True(See(armed, With(On), around).Armed);
            // A stop control must work at all times (ISO 13850, edition from memory): off disarms, whatever else is the case.
            Assert.False(See(armed, With(Off), around).Armed);
        }
    }

    // Both schools of disarming.
    [Theory]
    [InlineData(false, 1500, false)]
    [InlineData(false, 1000, false)]
    [InlineData(true, 1500, true)]
    [InlineData(true, 1000, false)]
    public void The_switch_disarms_at_once_or_only_at_low_throttle(bool onlyWhenLow, double throttle, bool stays)
    {
        var board = Board(new ArmGuards { DisarmsOnlyWhenLow = onlyWhenLow });
        var armed = See(BoardMachine.PowerUp(board), Frame(1000, Off, On, Off), default, board);
        armed = See(armed, Frame(1000, On, On, Off), default, board);
        Assert.Equal(stays, See(armed, Frame(throttle, Off, On, Off), default, board).Armed);
        // Lost signal stops the motors in either school.
        Assert.False(BoardMachine.Elapse(board, armed, BoardTimer.FramesMissing, fix: false).Armed);
    }

    // Common practice, no source: the board activates control at 1060 us.
    [Theory]
    [InlineData(null, 1000, Off, MotorLevel.Idle)]
    [InlineData(null, 1015, Off, MotorLevel.Thrust)]
    [InlineData(1060.0, 1050, Off, MotorLevel.Idle)]
    [InlineData(1060.0, 1060, Off, MotorLevel.Idle)]
    [InlineData(1060.0, 1070, Off, MotorLevel.Thrust)]
    [InlineData(1060.0, 1050, On, MotorLevel.IdleWithControl)]
    public void The_motors_follow_throttle_and_activation_limit(
        double? limit,
        double throttle,
        double stabilise,
        MotorLevel level
    )
    {
        var board = new BoardPlan(
            Guarded.Board with
            {
                ActivationLimit = limit is { } us ? new Microseconds(us) : null,
            }
        );
        var armed = See(BoardMachine.PowerUp(board), Frame(1000, Off, On, Off), default, board);
        armed = See(armed, Frame(1000, On, On, Off), default, board);
        var received = Frame(throttle, On, On, Off);
        received[9] = new Microseconds(stabilise);
        for (var axis = 0; axis < 4; axis++)
            if (axis != 2)
                received[axis] = Microseconds.Neutral;
        Assert.Equal(level, See(armed, received, default, board).Motors);
    }

    [Fact]
    public void The_bench_says_which_guard_refuses_and_what_to_do()
    {
        var setup = Demo.Plain.WithBoard(b => b with { Guards = new ArmGuards { TiltLimit = new Degrees(25) } });
        var bench = new BenchRun(setup);
        string Reason()
        {
            bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(50));
            return bench.Snapshot("throttle").Board.Reason;
        }

        bench.Surround(new Surroundings(new Degrees(40), Connected: false, Unlocked: false));
        Assert.Equal("The craft is tilted by more than 25°.", Reason());
        bench.Move("left-shoulder", 2);
        Assert.Equal("The craft is tilted by more than 25°.", Reason());
        bench.Surround(new Surroundings(new Degrees(0), Connected: true, Unlocked: false));
        Assert.Equal("The craft was tilted too far when Left shoulder went on. Put the switch off, then on.", Reason());
        bench.Move("left-shoulder", 1);
        Assert.StartsWith("The board is connected for configuration.", Reason(), StringComparison.Ordinal);
        bench.Surround(new Surroundings(new Degrees(0), Connected: true, Unlocked: true));
        bench.Move("left-shoulder", 2);
        Assert.Equal("Motors may idle. Propellers off on the bench.", Reason());
        Assert.Equal(MotorLevel.Idle, bench.Snapshot("throttle").Motors);
    }

    [Theory]
    [InlineData("right-dial", "", "Arming consent is not given: Right dial gives it.")]
    [InlineData("right-dial", "left-dial", "Arming consent is not given: Left dial or Right dial gives it.")]
    [InlineData("", "", "Arming consent is not given.")]
    public void A_missing_consent_names_who_gives_it(string control, string other, string reason)
    {
        var setup = Demo.Plain.WithBoard(b =>
            b with
            {
                Functions = b.Functions.Add("consent", Consent(b, control)).Add("consent-too", Consent(b, other)),
            }
        );
        var bench = new BenchRun(setup);
        bench.AdvanceTo(TimeSpan.FromMilliseconds(50));
        Assert.Equal(reason, bench.Snapshot("throttle").Board.Reason);
    }

    private static BoardFunction Consent(FlightBoard board, string control) =>
        board.Functions["arm"] with
        {
            Kind = FunctionKind.ArmConsent,
            Aux = 8,
            Control = control,
        };

    private static BoardState See(
        BoardState state,
        Microseconds[] received,
        Surroundings around = default,
        BoardPlan? board = null
    ) => BoardMachine.Receive(board ?? Guarded, state, (board ?? Guarded).View(received), around);

    private static Microseconds[] Frame(double throttle, double arm, double consent, double tuning)
    {
        var received = Enumerable.Repeat(new Microseconds(Off), 16).ToArray();
        (received[2], received[4]) = (new Microseconds(throttle), new Microseconds(arm));
        (received[7], received[8]) = (new Microseconds(consent), new Microseconds(tuning));
        return received;
    }

    private static BoardPlan Board(ArmGuards guards)
    {
        var pattern = Demo.Plain.Board.Functions["arm"];
        BoardFunction On(FunctionKind kind, int aux) => pattern with { Kind = kind, Aux = aux, Control = "" };
        return new BoardPlan(
            Demo.Plain.Board with
            {
                Guards = guards,
                Functions = Demo
                    .Plain.Board.Functions.Add("consent", On(FunctionKind.ArmConsent, 4))
                    .Add("tune", On(FunctionKind.AutomaticTune, 5))
                    .Add("stabilise", On(FunctionKind.ZeroThrottleStabilisation, 6)),
            }
        );
    }
}
