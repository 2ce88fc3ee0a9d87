using Zephyros.Core.Bench;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Setups;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Proof;

/// <summary>What brings telemetry and takes it away in the proof: at once, later, or not at all before it is over.</summary>
public sealed class TelemetryMovesTests
{
    private const int Comes = 0;
    private const int Lost = ProofScope.TelemetryLost;
    private const int Stays = ProofScope.TelemetryStays;

    // The craft without power and with it, the radio up, lost and off.
    [Theory]
    [InlineData(RadioState.Up, false, "RadioLost 1 2, PowerOn 0 2, TransmitterOff 0")]
    [InlineData(RadioState.Up, true, "RadioLost 1 2, PowerOff 1 2, TransmitterOff 0")]
    [InlineData(RadioState.Lost, false, "RadioBack 2, PowerOn 2, TransmitterOff 0")]
    [InlineData(RadioState.Lost, true, "RadioBack 0 2, PowerOff 1 2, TransmitterOff 0")]
    [InlineData(RadioState.Off, false, "PowerOn 2, TransmitterOn 2")]
    [InlineData(RadioState.Off, true, "PowerOff 1 2, TransmitterOn 0 2")]
    public void Telemetry_goes_and_comes_at_once_or_stays_as_it_is(RadioState radio, bool powered, string wanted) =>
        Assert.Equal(wanted, Happenings(Asking(Demo.Plain), radio, powered));

    // Nothing asks for telemetry: nothing about it is a state of its own.
    [Theory]
    [InlineData(RadioState.Up, true, "RadioLost 0, PowerOff 0, TransmitterOff 0")]
    [InlineData(RadioState.Lost, true, "RadioBack 0, PowerOff 0, TransmitterOff 0")]
    [InlineData(RadioState.Off, false, "PowerOn 0, TransmitterOn 0")]
    public void Where_nothing_asks_for_telemetry_there_is_one_way_each(RadioState radio, bool powered, string wanted)
    {
        Assert.Equal(wanted, Happenings(Demo.Plain, radio, powered));
        Assert.Equal(wanted, Happenings(Asking(Demo.Plain).WithAir(a => a with { Telemetry = false }), radio, powered));
    }

    [Theory]
    [InlineData(MoveKind.RadioLost, Lost, Lost)]
    [InlineData(MoveKind.RadioLost, Stays, null)]
    [InlineData(MoveKind.PowerOff, Lost, Lost)]
    [InlineData(MoveKind.PowerOff, Stays, null)]
    [InlineData(MoveKind.RadioBack, Comes, Comes)]
    [InlineData(MoveKind.RadioBack, Stays, null)]
    [InlineData(MoveKind.PowerOn, Comes, Comes)]
    [InlineData(MoveKind.PowerOn, Stays, null)]
    [InlineData(MoveKind.TransmitterOn, Comes, Comes)]
    [InlineData(MoveKind.TransmitterOn, Stays, null)]
    [InlineData(MoveKind.TransmitterOff, 0, Lost)]
    // The values of others mean something else.
    [InlineData(MoveKind.Turn, 1, null)]
    [InlineData(MoveKind.Cable, 2, null)]
    [InlineData(MoveKind.Input, 0, null)]
    public void Where_telemetry_stands_then(MoveKind kind, int value, int? cell) =>
        Assert.Equal(cell, TelemetryMoves.After(kind, value));

    // A lift while telemetry is away: it comes long after the loss, or not before the link is back, as the sequence says.
    [Fact]
    public void A_replay_follows_the_sequence_whatever_packets_come()
    {
        var setup = Demo.Clean.WithCondition("away", new TelemetryLostTest()).WithOverride("throttle", "away", 50);
        var verdict = new Prover(SignalPlan.Compile(setup), Patient).Prove(
            PromiseList.All.Single(p => p.Code == "no-switch-adds-thrust"),
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(VerdictKind.Broken, verdict.Kind);
        var bench = new BenchRun(setup);
        var replay = new BenchReplay(bench, verdict.Path);
        Assert.True(bench.TelemetryLost);
        while (!replay.AtEnd)
            Assert.True(replay.Step());
        var missed = bench.TelemetryLost;
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(30));
        Assert.Equal(missed, bench.TelemetryLost);
        // Left to itself the bench has what its packets bring.
        replay.LetGo();
        bench.SetLink(true);
        bench.SetPower(true);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(100));
        Assert.False(bench.TelemetryLost);
        bench.SetLink(false);
        bench.AdvanceTo(bench.Now + TimeSpan.FromMilliseconds(1100));
        Assert.True(bench.TelemetryLost);
    }

    private static Setup Asking(Setup setup) =>
        setup.WithCondition("away", new TelemetryLostTest()).WithOverride("arm", "away", -100);

    private static string Happenings(Setup setup, RadioState radio, bool powered)
    {
        var plan = SignalPlan.Compile(setup);
        var prover = new Prover(plan, Patient);
        var check = new PromiseCheck(plan.Board.MotorBits, () => new GoalWatch((_, _) => false));
        var explorer = prover.ExplorerFor(check, check.Watch());
        prover.Explore(check, prover.ModelFor(check), explorer);
        var situation = explorer
            .System.Situations.Index()
            .First(s => s.Item.Radio == radio && s.Item.Board.Powered == powered && !Restarts(s.Item))
            .Index;
        return string.Join(
            ", ",
            explorer
                .System.Happenings(situation)
                .Where(h => h.Kind is >= MoveKind.RadioLost and <= MoveKind.TransmitterOn)
                .GroupBy(h => h.Kind)
                .Select(g => $"{g.Key} {string.Join(' ', g.Select(h => h.Value))}")
        );
    }

    // A board that still waits for the signal cannot see the transmitter back before it has started again.
    private static bool Restarts(Situation situation) =>
        situation is { Radio: RadioState.Off, Board: { Powered: true, HasSignal: true } };
}
