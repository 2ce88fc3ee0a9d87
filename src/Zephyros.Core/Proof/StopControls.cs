using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof;

/// <summary>Which movements stop the motors, or end thrust, from every armed state. What a control is declared to be does not count until
/// that is proven of it.</summary>
/// <param name="plan">The setup.</param>
/// <param name="prove">Proves a check.</param>
internal sealed class StopControls(SignalPlan plan, Func<PromiseCheck, PromiseVerdict> prove)
{
    private readonly Dictionary<(string Control, double Setting, MotorLevel Most), PromiseVerdict> verdicts = [];

    /// <summary>The movements that are meant to stop the motors: the arm control away from where it arms, a throttle cut of the board to
    /// where it cuts; a dial, a stick or a slider to either end.</summary>
    public static IEnumerable<(string Control, double Setting)> Meant(SignalPlan plan) =>
        (
            from function in plan.Setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal)
            where function.Value.Kind is FunctionKind.Arm or FunctionKind.ThrottleCut
            where plan.Model.IndexOf(function.Value.Control) >= 0
            let control = plan.Setup.Transmitter.Controls[function.Value.Control]
            from setting in Settings(control)
            where
                function.Value.Planned.IsEmpty
                || function.Value.Planned.Contains((int)setting) == (function.Value.Kind == FunctionKind.ThrottleCut)
            select (function.Value.Control, setting)
        ).Distinct();

    /// <summary>A check that a movement leaves the motors at no more than a level, from every armed state and as long as it stands there.</summary>
    public static PromiseCheck Check(SignalPlan plan, string control, double setting, MotorLevel most) =>
        new(plan.Board.MotorBits | (most > MotorLevel.Off ? BoardView.WellUpBit : 0), () => new StandsWatch(most))
        {
            About = $"{plan.Setup.Transmitter.Controls[control].Name} to {Place(plan, control, setting)}",
            LooksAt = Roles.Named | Roles.NamedAway,
            Named = (control, setting),
        };

    /// <summary>The verdict of a check for a stop; proven once.</summary>
    public PromiseVerdict Verdict(PromiseCheck check) => Verdict(check.Named!.Value.Control, check.Named.Value.Setting);

    // A movement that never has anything to stop, as of a control that has no effect, is no stop.
    private PromiseVerdict Verdict(string control, double setting, MotorLevel most = MotorLevel.Off)
    {
        if (!verdicts.TryGetValue((control, setting, most), out var verdict))
            verdicts[(control, setting, most)] = verdict = prove(Check(plan, control, setting, most));
        return verdict;
    }

    /// <summary>What a movement was proven to be.</summary>
    public Roles RolesOf(string control, Func<double, bool> goesTo)
    {
        bool Does((string Control, double Setting) named, MotorLevel most) =>
            named.Control == control
            && goesTo(named.Setting)
            // What could not be decided is not held against a control; the verdict then says so.
            && Verdict(named.Control, named.Setting, most).Kind is VerdictKind.Proven or VerdictKind.NotProven;
        var roles = Roles.None;
        if (Meant(plan).Any(m => Does(m, MotorLevel.Off)))
            roles |= Roles.Stops | Roles.EndsThrust;
        else if (Cuts().Any(m => Does(m, MotorLevel.IdleWithControl)))
            roles |= Roles.EndsThrust;
        return roles;
    }

    /// <summary>The movement that could not be decided, as far as these roles ask for it; null when all were.</summary>
    public string? Undecided(Roles asked) =>
        verdicts
            .Where(v => v.Value.Kind == VerdictKind.NotProven)
            .Where(v =>
                v.Key.Most == MotorLevel.Off
                    ? (asked & (Roles.Stops | Roles.EndsThrust)) != 0
                    : (asked & Roles.EndsThrust) != 0
            )
            .Select(v =>
                $"{plan.Setup.Transmitter.Controls[v.Key.Control].Name} to {Place(plan, v.Key.Control, v.Key.Setting)}"
            )
            .FirstOrDefault();

    // A throttle cut of the transmitter: an override, enabled by the pilot, that forces the throttle low when a switch says so.
    private IEnumerable<(string Control, double Setting)> Cuts()
    {
        var channel = plan.ChannelAt(plan.Setup.Board.Map.ChannelOf(StickAxis.Throttle));
        if (channel is null)
            return [];
        return (
            from held in plan.Setup.Model.OverridesOf(channel.Id)
            where held.Value.Enabled
            from node in plan.Model.Graph.Behind(new ModelNode(NodeKind.Condition, held.Value.When))
            where node.Kind == NodeKind.Control
            let control = plan.Setup.Transmitter.Controls[node.Id]
            where control.NamedPositions.Count > 0
            from setting in Settings(control)
            select (node.Id, setting)
        ).Distinct();
    }

    private static IEnumerable<double> Settings(Control control) =>
        control.NamedPositions.Count > 0 ? control.NamedPositions.Select(p => (double)p.Setting) : [-100, 100];

    private static string Place(SignalPlan plan, string control, double setting) =>
        plan.Setup.Transmitter.Controls[control].NamedPositions.FirstOrDefault(p => p.Setting == setting)?.Name
        ?? (setting < 0 ? "its low end" : "its high end");

    private sealed class StandsWatch(MotorLevel most) : Watch
    {
        private const int Elsewhere = 1;
        private const int There = 2;

        public override int Next(int monitor, in Change change)
        {
            var stands =
                change.By(Roles.Named) ? There
                : change.By(Roles.NamedAway) ? Elsewhere
                : monitor;
            var board = change.Board;
            if (change.Radio != RadioState.Up || !change.Frames)
                return stands;
            // What it is moved from counts: a control that is never moved while the motors turn says nothing.
            PremiseReached |= change.By(Roles.Named) && change.Before.Board.Motors > most;
            if (board.Motors <= most || (most > MotorLevel.Off && ByItself(board, change.View)))
                return stands;
            // Motors that turn while the control stands there already could not be stopped by putting it there.
            return stands == There ? Broken : stands;
        }

        // A craft that turns itself over, flies by itself, or answers a deflected stick, is no matter of the throttle; nor is thrust
        // right at the threshold, which nobody feels.
        private static bool ByItself(BoardState board, BoardView view) =>
            board.ForSelfRight || board.Signal != BoardSignal.Good || !view.Has(BoardView.WellUpBit);
    }
}
