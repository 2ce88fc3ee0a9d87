using CsCheck;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Bench;

/// <summary>Whatever happens on the bench in whatever order, the board keeps to what a pilot was told of it.</summary>
public sealed class BenchPropertyTests
{
    // What can happen; each is followed by some time.
    private static readonly Action<BenchRun>[] Events =
    [
        b => b.Move("left-shoulder", 1),
        b => b.Move("left-shoulder", 2),
        b => b.Move("throttle", -100),
        b => b.Move("throttle", 40),
        b => b.SetLink(true),
        b => b.SetLink(false),
        b => b.SetPower(true),
        b => b.SetPower(false),
        b => b.Surround(default),
        b => b.Surround(new Surroundings(new Degrees(90), false, false)),
        b => b.Surround(new Surroundings(default, Connected: true, false)),
        b => b.Surround(new Surroundings(default, Connected: true, Unlocked: true)),
    ];

    private static readonly Gen<(int Event, int Ms)[]> Histories = Gen.Select(
        Gen.Int[0, Events.Length - 1],
        Gen.OneOf(1, 10, 60, 400)
    ).Array[1, 60];

    [Fact]
    public void Arming_needs_the_switch_off_and_then_on_with_every_guard_satisfied() =>
        Histories.Sample(
            history =>
            {
                var bench = Guarded();
                var seenOff = false;
                foreach (var (happens, ms) in history)
                {
                    var before = bench.Board;
                    Events[happens](bench);
                    bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(ms));
                    var (now, around) = (bench.Board, bench.Snapshot("throttle").Surroundings);
                    if (now.Armed && !before.Armed)
                    {
                        var picture = bench.Snapshot("throttle");
                        Assert.True(seenOff, "armed without the switch seen off");
                        Assert.True(picture.Settings["left-shoulder"] == 2 && picture.Settings["throttle"] == -100);
                        Assert.True(around.Tilt.Value <= 25 && (!around.Connected || around.Unlocked));
                        Assert.True(bench.Link && bench.Power);
                    }

                    // Off is seen when a good frame brings it; a lost signal and a power cycle ask for it anew.
                    seenOff = now is { Powered: true, HasSignal: true, Standing: ArmRefusal.None };
                }
            },
            iter: Iterations.Of(300)
        );

    [Fact]
    public void Without_arming_link_or_power_the_motors_stand_and_the_board_says_why() =>
        Histories.Sample(
            history =>
            {
                var bench = Guarded();
                foreach (var (happens, ms) in history)
                {
                    Events[happens](bench);
                    bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(ms));
                    var picture = bench.Snapshot("throttle");
                    Assert.Equal(bench.Board.Armed, picture.Motors != MotorLevel.Off);
                    Assert.Equal(bench.Board.Armed, picture.Board.Standing == BoardStanding.Armed);
                    Assert.NotEmpty(picture.Board.Reason);
                    // After the board's own time without frames nothing turns (the plain setup's signal is lost well within 400 ms).
                    if (ms == 400 && !(bench.Link && bench.Power))
                        Assert.Equal(MotorLevel.Off, picture.Motors);
                }
            },
            iter: Iterations.Of(300)
        );

    [Fact]
    public void The_same_events_at_the_same_times_give_the_same_pictures() =>
        Histories.Sample(
            history =>
            {
                var (one, other) = (Guarded(), Guarded());
                foreach (var (happens, ms) in history)
                {
                    Events[happens](one);
                    Events[happens](other);
                    one.AdvanceTo(one.Now + TimeSpan.FromMilliseconds(ms));
                    // In one stride or in many small ones.
                    for (var i = 0; i < ms; i++)
                        other.AdvanceTo(other.Now + TimeSpan.FromMilliseconds(1));
                    Assert.Equal(one.Board, other.Board);
                    Assert.Equal(one.Snapshot("throttle").Received, other.Snapshot("throttle").Received);
                }
            },
            iter: Iterations.Of(40)
        );

    private static BenchRun Guarded()
    {
        var guards = new ArmGuards { TiltLimit = new Degrees(25) };
        return new BenchRun(Demo.Plain.WithBoard(b => b with { Guards = guards }));
    }
}
