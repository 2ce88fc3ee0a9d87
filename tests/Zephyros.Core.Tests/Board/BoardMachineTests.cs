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
        Assert.Equal(BoardState.Off, BoardMachine.Receive(BoardState.Off, Frame(low: true, on: true)));

    private static Gen<string> Sequences { get; } =
        Gen.Char["rRaALP"].Array[0, 14].Select(letters => new string(letters));

    private static BoardState Run(string sequence)
    {
        var state = BoardMachine.PowerUp();
        foreach (var letter in sequence)
        {
            state = letter switch
            {
                'L' => BoardMachine.LoseSignal(state),
                'P' => BoardMachine.PowerUp(),
                _ => BoardMachine.Receive(state, Frame(low: letter is 'r' or 'a', on: letter is 'a' or 'A')),
            };
        }

        return state;
    }

    private static BoardReading Frame(bool low, bool on) =>
        new(
            new Microseconds(1000),
            low,
            on,
            low ? ArmRefusal.None : ArmRefusal.ThrottleNotLow,
            StopWaits: false,
            MotorLevel.Idle
        );
}
