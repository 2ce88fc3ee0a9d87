using CsCheck;
using Zephyros.Core.Board;

namespace Zephyros.Core.Tests.Board;

/// <summary>What holds after any sequence of events; see <see cref="BoardSequenceTests"/> for what follows from single ones.</summary>
public sealed class BoardMachineTests
{
    private static readonly BoardPlan Board = new(Demo.Plain.Board);

    // Each letter is a good frame: r = switch off, throttle low; R = off, throttle high; a = on, low; A = on, high.
    // L = signal lost; P = power cycled.
    private static Gen<string> Sequences { get; } =
        Gen.Char["rRaALP"].Array[0, 14].Select(letters => new string(letters));

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

    [Fact]
    public void A_board_without_a_signal_refuses_for_that() => Assert.Equal(ArmRefusal.NoSignal, Run("raL").Refusal);

    private static BoardState Run(string sequence) =>
        sequence.Aggregate(
            BoardMachine.PowerUp(Board),
            (state, letter) =>
                letter switch
                {
                    'L' => BoardMachine.Elapse(Board, state, BoardTimer.FramesMissing, fix: false),
                    'P' => BoardMachine.PowerUp(Board),
                    _ => BoardMachine.Receive(
                        Board,
                        state,
                        Frame(low: letter is 'r' or 'a', on: letter is 'a' or 'A'),
                        default
                    ),
                }
        );

    private static BoardView Frame(bool low, bool on) =>
        new((low ? BoardView.LowBit : BoardView.ThrustBit) | (on ? Board.ArmBits : 0));
}
