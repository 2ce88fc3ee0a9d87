using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Replay;

/// <summary>Looks at a bench with the eyes of a promise: every step becomes a transition that its watch judges, with all that the watch
/// looks at. Not safe for use by several threads.</summary>
internal sealed class BenchWitness
{
    private readonly BenchRun bench;
    private readonly PromiseCheck check;
    private readonly ProofScope scope;
    private readonly InputRoles roles;
    private readonly Watch watch;
    private readonly DeclaredOverrides? overrides;
    private Situation last;

    /// <summary>Begins with the bench as it stands.</summary>
    /// <param name="bench">The bench.</param>
    /// <param name="check">What is looked at.</param>
    /// <param name="scope">What matters to it.</param>
    /// <param name="roles">What movements are to it.</param>
    public BenchWitness(BenchRun bench, PromiseCheck check, ProofScope scope, InputRoles roles)
    {
        (this.bench, this.check, this.scope, this.roles) = (bench, check, scope, roles);
        watch = check.Watch();
        if (check.AtRestOn is { } channel)
            overrides = new DeclaredOverrides(scope.Plan, channel);
        last = Now(watch.Start);
    }

    /// <summary>What was seen last.</summary>
    public Situation Last => last;

    /// <summary>Looks at what a step has come to.</summary>
    /// <returns>True when it breaks the promise.</returns>
    public bool See(PathStep step)
    {
        var before = last;
        var now = Now(before.Monitor);
        var moved = step.Inputs.Aggregate(Roles.None, (all, input) => all | roles.Of(input));
        if (step.Kind != MoveKind.Input)
            moved = Roles.None;
        var returns = before.Radio != RadioState.Up && now.Radio == RadioState.Up;
        var excused = before.Excused || (moved & watch.Excuses) != 0;
        var trembles = watch.LooksAtTremble && step.Trembles.Count > 0;
        var own = Own();
        var change = new Change(
            before,
            step.Kind ?? MoveKind.Input,
            returns && excused ? moved | watch.Excuses : moved,
            now.Board,
            now.Radio,
            now.Fix,
            bench.FramesArrive,
            bench.FramesArrive ? new BoardView(View()) : default,
            (own & ProofScope.StickLowBit) != 0,
            ProofScope.CuesIn(own),
            returns
                && before.Board is { Powered: true, HasSignal: true }
                && !SituationSystem.FramesArrive(scope.Plan.Setup.Air, before),
            trembles || before.Trembled,
            new BoardView((bench.SentView.Bits & scope.Bits) | own)
        );
        var monitor = watch.Next(before.Monitor, change);
        last = now with
        {
            Monitor = Math.Max(0, monitor),
            Excused = now.Radio != RadioState.Up && excused,
            Trembled = trembles,
        };
        return monitor == Watch.Broken;
    }

    /// <summary>What the board read last, and what is looked at besides while its frames come by radio.</summary>
    public ulong View() =>
        (bench.LastView.Bits & scope.Bits) | (bench is { TransmitterOn: true, Link: true } ? Own() : 0);

    private ulong Own()
    {
        if (!bench.TransmitterOn)
            return 0;
        var own = 0UL;
        if (
            (scope.Bits & ProofScope.StickLowBit) != 0
            && scope.Plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is { } stick
            && bench.SettingOf(stick) <= scope.StickLowLimit
        )
            own |= ProofScope.StickLowBit;
        for (var i = 0; i < scope.Cues.Count; i++)
            if (scope.Plan.Model.Holds(bench.Memory, scope.Cues[i]))
                own |= ProofScope.CueBit(i);
        if (check.Standing is { } control)
            own |= ProofScope.PositionBit(bench.SettingOf(control));
        if (overrides is not null)
            own |=
                (overrides.Hold(r => bench.Memory.Registers[r]) ? ProofScope.OverriddenBit : 0)
                | (BenchStates.UnderWay(bench, scope) ? ProofScope.UnderWayBit : 0);
        return own;
    }

    private Situation Now(int monitor) =>
        new(
            bench.Board,
            BenchStates.RadioOf(bench),
            bench.Linked,
            0,
            default,
            default,
            bench.Surroundings.Fix,
            monitor
        );
}
