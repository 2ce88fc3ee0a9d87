using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

public sealed class BenchRunTests
{
    private const string ArmSwitch = "left-shoulder";
    private const string Throttle = "throttle";

    [Fact]
    public void The_board_arms_only_with_throttle_low_and_disarms_at_once()
    {
        var bench = Settled(Demo.Plain);
        bench.Move(Throttle, -50);
        bench.Move(ArmSwitch, 2);
        Assert.Equal((BoardStanding.Refused, "Throttle reads 1250 µs, must be below 1015 µs."), Say(bench));
        bench.Move(Throttle, -100);
        Assert.Equal(
            "Throttle was not low when Left shoulder went on. It is low now: put the switch off, then on.",
            Say(bench).Reason
        );
        bench.Move(ArmSwitch, 1);
        Assert.Equal(BoardStanding.Ready, Say(bench).Standing);
        bench.Move(ArmSwitch, 2);
        Assert.Equal(BoardStanding.Armed, Say(bench).Standing);
        bench.Move(Throttle, 60);
        bench.Move(ArmSwitch, 1);
        Assert.Equal(BoardStanding.NotReady, Say(bench).Standing);
        Assert.Equal("Disarmed", bench.Noted()!.Text);
    }

    [Fact]
    public void A_wrong_order_is_told_as_the_reason_of_the_refusal()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Move(ArmSwitch, 2);
        Assert.Equal(
            (BoardStanding.Refused, "Throttle reads 1500 µs, must be below 1010 µs. It is reading the pitch stick."),
            Say(bench)
        );
    }

    [Fact]
    public void A_board_that_no_control_can_arm_says_so()
    {
        Assert.Equal(
            (BoardStanding.NotReady, "The board waits for AUX 5 to arm, and no control reaches it there."),
            Say(Settled(Demo.Gannet))
        );
        var other = Demo.Plain.WithArm(f => f with { Aux = 2 });
        Assert.Equal("Ready: Right front, inner arms. Propellers off?", Say(Settled(other)).Reason);
        // Out of reach at rest; what else is moved may bring it there.
        var above = Demo.Plain.WithArm(f => f with { Low = new(2075), High = new(2100) });
        Assert.Equal(
            (
                BoardStanding.Ready,
                "Ready, but with all else at rest no position of Left shoulder arms. Propellers off?"
            ),
            Say(Settled(above))
        );
    }

    [Fact]
    public void A_switch_already_on_at_power_up_or_when_the_signal_returns_does_not_arm()
    {
        var bench = Settled(Demo.Plain);
        bench.SetPower(false);
        bench.Move(ArmSwitch, 2);
        Assert.Equal(BoardStanding.Unpowered, Say(bench).Standing);
        bench.SetPower(true);
        Assert.Equal("Left shoulder was already on when the board got power. Put it off, then on.", Say(bench).Reason);

        bench.Move(ArmSwitch, 1);
        Say(bench);
        bench.Move(ArmSwitch, 2);
        Assert.Equal(BoardStanding.Armed, Say(bench).Standing);
        bench.SetLink(false);
        Assert.Equal(BoardStanding.NoSignal, Say(bench).Standing);
        Assert.Equal("Signal lost, motors stopped", bench.Noted()!.Text);
        bench.SetLink(true);
        Assert.Equal("Left shoulder was already on when the signal returned. Put it off, then on.", Say(bench).Reason);
    }

    [Fact]
    public void The_signal_is_lost_after_the_boards_time_and_not_before()
    {
        // Frames every 7 ms: the last one before the loss at 1000 ms comes at 994 ms; Wren's board waits 150 ms.
        var bench = new BenchRun(Demo.Plain);
        bench.AdvanceTo(Ms(1000));
        bench.SetLink(false);
        bench.AdvanceTo(Ms(1143.9));
        Assert.True(bench.Board.HasSignal);
        bench.AdvanceTo(Ms(1144));
        Assert.False(bench.Board.HasSignal);
    }

    [Fact]
    public void A_link_that_returns_in_time_is_not_noticed()
    {
        var bench = Settled(Demo.Plain);
        bench.Move(ArmSwitch, 2);
        Say(bench);
        bench.SetLink(false);
        bench.AdvanceTo(bench.Now + Ms(100));
        bench.SetLink(true);
        Assert.Equal(BoardStanding.Armed, Say(bench).Standing);
    }

    [Fact]
    public void A_fix_keeps_the_positions_and_restarts_the_board_only_when_the_board_changed()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Move(Throttle, 40);
        Say(bench);
        bench.Replace(ModelEdits.SendOrder(Demo.Sandpiper, StickOrder.Parse("AETR"))!.ApplyTo(Demo.Sandpiper).Setup!);
        Assert.True(bench.Board.HasSignal);
        Say(bench);
        Assert.Equal("throttle", bench.Snapshot(Throttle).Trace.Stops[4].Figure);
        Assert.Equal(40, bench.Snapshot(Throttle).Settings[Throttle]);
        bench.Replace(bench.Setup.WithBoard(b => b with { MaximumRate = new(300) }));
        Assert.False(bench.Board.HasSignal);
    }

    [Theory]
    [InlineData("nobody", 0)]
    [InlineData(Throttle, 100.5)]
    [InlineData(Throttle, double.NaN)]
    [InlineData(ArmSwitch, 3)]
    [InlineData(ArmSwitch, 1.5)]
    [InlineData("left-button", 2)]
    public void What_a_control_cannot_do_moves_nothing(string control, double setting)
    {
        var bench = Settled(Demo.Plain);
        var before = bench.Sequence;
        Assert.False(bench.Move(control, setting));
        Assert.Equal(before, bench.Sequence);
    }

    [Fact]
    public void The_same_movements_give_the_same_pictures() =>
        Movements.Sample(
            moves => Play(moves, Demo.Plain, stepMs: 1) == Play(moves, Demo.Plain, stepMs: 13),
            iter: Iterations.Of(100)
        );

    [Fact]
    public void What_goes_over_the_wire_is_what_the_path_computes() =>
        Movements.Sample(
            moves =>
            {
                var bench = Settled(Demo.Sandpiper);
                foreach (var (control, setting) in moves)
                    bench.Move(control, setting);
                bench.AdvanceTo(bench.Now + Ms(20));
                var plan = Core.Path.SignalPlan.Compile(Demo.Sandpiper);
                var values = plan.CreateValues();
                foreach (var (control, setting) in moves)
                    values.Hands[plan.Model.IndexOf(control)] = plan
                        .Model.Controls[plan.Model.IndexOf(control)]
                        .Value.Read(setting)!
                        .Value;
                plan.Settle(values);
                return bench.Snapshot(Throttle).Received.SequenceEqual(values.Received);
            },
            iter: Iterations.Of(100)
        );

    private static Gen<(string Control, double Setting)[]> Movements { get; } =
        Gen.OneOf(
            Gen.Select(
                Gen.OneOf("roll", "pitch", Throttle, "yaw", "left-dial"),
                Gen.Int[-100, 100].Select(v => (double)v)
            ),
            Gen.Select(Gen.OneOf(ArmSwitch, "right-shoulder"), Gen.Int[1, 2].Select(v => (double)v)),
            Gen.Select(Gen.OneOf("left-front-inner", "right-front-inner"), Gen.Int[1, 3].Select(v => (double)v))
        ).Array[1, 20];

    // The pictures every 50 ms, whatever the steps in which time was let pass.
    private static string Play((string Control, double Setting)[] moves, Setup setup, double stepMs)
    {
        var bench = new BenchRun(setup);
        var pictures = new List<string>();
        for (var i = 0; i < moves.Length; i++)
        {
            bench.Move(moves[i].Control, moves[i].Setting);
            for (var t = (i * 50) + stepMs; t < (i + 1) * 50; t += stepMs)
                bench.AdvanceTo(Ms(t));
            bench.AdvanceTo(Ms((i + 1) * 50));
            var snapshot = bench.Snapshot(Throttle);
            pictures.Add($"{snapshot.Sequence} {snapshot.Board} {string.Join(',', snapshot.Received)}");
        }

        return string.Join('\n', pictures);
    }

    [Fact]
    public void The_model_runs_on_while_something_is_under_way_and_rests_after()
    {
        // The camera follows the dial at 150 %/s.
        var bench = Settled(Demo.Sandpiper);
        bench.Move("right-dial", 100);
        double Camera() => bench.Snapshot("right-dial").Sent[7].Value;
        var start = Camera();
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(200));
        var soon = Camera();
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(2));
        Assert.True(start < soon && soon < Camera());
        Assert.Equal(2140, Camera(), 1.0);
    }

    [Fact]
    public void A_reading_that_has_come_works_the_logic_after_its_delay()
    {
        var bench = Settled(Demo.Sandpiper);
        bench.Hear("distance", new Reading(900));
        Assert.Equal("cliff", bench.Snapshot(Throttle).State);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(1900));
        Assert.False(bench.Snapshot(Throttle).Conditions["come-home"]);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(200));
        var after = bench.Snapshot(Throttle);
        Assert.True(after.Conditions["come-home"]);
        Assert.Equal(("rescue", 900.0), (after.State, after.Readings["distance"].Value));
        Assert.Equal(2012, after.Sent[8].Value, 1.0);
    }

    [Fact]
    public void The_snapshot_names_the_override_that_holds()
    {
        var bench = Settled(Demo.Sandpiper);
        Assert.Empty(bench.Snapshot(Throttle).Forced);
        bench.Move("right-back-switch", 2);
        Assert.Equal("cut", bench.Snapshot(Throttle).Forced["throttle"]);
    }

    private static BenchRun Settled(Setup setup)
    {
        var bench = new BenchRun(setup);
        bench.AdvanceTo(Ms(100));
        return bench;
    }

    // Half a second is enough for frames to arrive and for a loss to be noticed.
    private static (BoardStanding Standing, string Reason) Say(BenchRun bench)
    {
        bench.AdvanceTo(bench.Now + Ms(500));
        var report = bench.Snapshot(Throttle).Board;
        return (report.Standing, report.Reason);
    }

    private static TimeSpan Ms(double milliseconds) => TimeSpan.FromMilliseconds(milliseconds);
}
