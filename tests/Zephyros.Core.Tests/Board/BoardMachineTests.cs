using CsCheck;
using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Board;

public sealed class BoardMachineTests
{
    [Theory]
    // Each letter is a good frame: r = switch off, throttle low; R = off, throttle high; a = on, low; A = on, high.
    // L = signal lost; P = power cycled.
    [InlineData("r", false, ArmRefusal.None)]
    [InlineData("ra", true, ArmRefusal.None)]
    [InlineData("raA", true, ArmRefusal.None)]
    [InlineData("raAR", false, ArmRefusal.None)]
    [InlineData("rar", false, ArmRefusal.None)]
    [InlineData("rA", false, ArmRefusal.ThrottleNotLow)]
    [InlineData("rAa", false, ArmRefusal.ThrottleNotLow)]
    [InlineData("rAara", true, ArmRefusal.None)]
    [InlineData("a", false, ArmRefusal.SwitchOnAtPowerUp)]
    [InlineData("aaaa", false, ArmRefusal.SwitchOnAtPowerUp)]
    [InlineData("ara", true, ArmRefusal.None)]
    [InlineData("raL", false, ArmRefusal.NoSignal)]
    [InlineData("raLa", false, ArmRefusal.SwitchOnAtSignalReturn)]
    [InlineData("raLara", true, ArmRefusal.None)]
    [InlineData("rLa", false, ArmRefusal.SwitchOnAtSignalReturn)]
    [InlineData("raPa", false, ArmRefusal.SwitchOnAtPowerUp)]
    [InlineData("raPra", true, ArmRefusal.None)]
    public void Guards_decide_after_each_sequence(string sequence, bool armed, ArmRefusal refusal)
    {
        var state = Run(sequence);
        Assert.Equal((armed, refusal), (state.Armed, state.Refusal));
    }

    [Fact]
    public void However_it_came_about_a_frame_with_the_switch_off_disarms_at_once() =>
        Sequences.Sample(
            sequence => !Run(sequence + "r").Armed && !Run(sequence + "R").Armed,
            iter: Iterations.Of(5_000)
        );

    [Fact]
    public void Arming_needs_the_switch_to_go_on_while_the_throttle_is_low() =>
        // Whatever went before, the last two events of a sequence that has just armed are "off" and then "on, low".
        Sequences
            .Where(s => s.Length > 1)
            .Sample(
                sequence =>
                {
                    var before = Run(sequence[..^1]);
                    var after = Run(sequence);
                    return before.Armed || !after.Armed || (sequence[^1] == 'a' && sequence[^2] is 'r' or 'R');
                },
                iter: Iterations.Of(5_000)
            );

    [Fact]
    public void A_board_without_power_does_nothing() =>
        Assert.Equal(BoardState.Off, BoardMachine.Receive(Board, BoardState.Off, Frame(low: true, on: true), default));

    private static Gen<string> Sequences { get; } =
        Gen.Char["rRaALP"].Array[0, 14].Select(letters => new string(letters));

    // What an armed board does about a loss, for each procedure: L = frames missing for long enough, G = the grace time is over,
    // Z = landed, M = a good frame with a deflected stick, T = the throttle was low for long, F and f = a position fix comes and goes. Common practice, no source.
    [Theory]
    [InlineData("raL", LossProcedure.Stop, FlightRecovery.AtOnce, BoardSignal.Grace, true)]
    [InlineData("raLa", LossProcedure.Stop, FlightRecovery.AtOnce, BoardSignal.Good, true)]
    [InlineData("raLG", LossProcedure.Stop, FlightRecovery.AtOnce, BoardSignal.None, false)]
    [InlineData("raLGa", LossProcedure.Stop, FlightRecovery.AtOnce, BoardSignal.Good, false)]
    [InlineData("raLGra", LossProcedure.Stop, FlightRecovery.AtOnce, BoardSignal.Good, true)]
    [InlineData("raLG", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.Landing, true)]
    [InlineData("raLGa", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.Good, true)]
    [InlineData("raLGa", LossProcedure.Land, FlightRecovery.StickMoved, BoardSignal.Landing, true)]
    [InlineData("raLGM", LossProcedure.Land, FlightRecovery.StickMoved, BoardSignal.Good, true)]
    [InlineData("raLGr", LossProcedure.Land, FlightRecovery.StickMoved, BoardSignal.Good, false)]
    [InlineData("raLGZ", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.None, false)]
    [InlineData("raLGZa", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.Good, false)]
    [InlineData("raLG", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.Landing, true)]
    [InlineData("raLGFZ", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.None, false)]
    [InlineData("raFLG", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.Returning, true)]
    [InlineData("raFLGZ", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.Returning, true)]
    [InlineData("raFLGf", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.Landing, true)]
    [InlineData("raFLGfZ", LossProcedure.ReturnHome, FlightRecovery.AtOnce, BoardSignal.None, false)]
    [InlineData("raTLG", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.None, false)]
    [InlineData("raTALG", LossProcedure.Land, FlightRecovery.AtOnce, BoardSignal.Landing, true)]
    public void A_loss_runs_the_declared_procedure(
        string sequence,
        LossProcedure procedure,
        FlightRecovery recovery,
        BoardSignal signal,
        bool armed
    )
    {
        var loss = new LossSettings
        {
            Grace = new Milliseconds(300),
            Procedure = procedure,
            Recovery = recovery,
            LowBefore = new Milliseconds(10_000),
        };
        var state = Run(sequence, new BoardPlan(Demo.Plain.Board with { Loss = loss }));
        Assert.Equal((signal, armed), (state.Signal, state.Armed));
        Assert.Equal(armed, state.Motors != MotorLevel.Off);
    }

    private static readonly BoardPlan Board = new(Demo.Plain.Board);

    private static BoardState Run(string sequence, BoardPlan? plan = null)
    {
        var board = plan ?? Board;
        var state = BoardMachine.PowerUp(board);
        var fix = false;
        foreach (var letter in sequence)
        {
            fix = letter == 'F' || (fix && letter != 'f');
            state = letter switch
            {
                'F' => state,
                'f' => BoardMachine.LoseFix(state),
                'L' => BoardMachine.Elapse(board, state, BoardTimer.FramesMissing, fix),
                'G' => BoardMachine.Elapse(board, state, BoardTimer.Grace, fix),
                'Z' => BoardMachine.Elapse(board, state, BoardTimer.Landing, fix),
                'T' => BoardMachine.Elapse(board, state, BoardTimer.LowBefore, fix),
                'P' => BoardMachine.PowerUp(board),
                'M' => BoardMachine.Receive(
                    board,
                    state,
                    new BoardView(board.ArmBits | BoardView.ThrustBit | BoardView.DeflectedBit),
                    default
                ),
                _ => BoardMachine.Receive(
                    board,
                    state,
                    Frame(low: letter is 'r' or 'a', on: letter is 'a' or 'A'),
                    default
                ),
            };
        }

        return state;
    }

    private static BoardView Frame(bool low, bool on) =>
        new((low ? BoardView.LowBit : BoardView.ThrustBit) | (on ? Board.ArmBits : 0));
}
