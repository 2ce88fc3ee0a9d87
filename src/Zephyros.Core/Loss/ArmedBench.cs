using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>A bench whose craft is armed, with the throttle raised: where a loss of the signal begins.</summary>
/// <remarks>The hands are found by trying: the arming control alone, then any other control before it, then a control that gives consent
/// between both; all else at its start first, then with every switch at its safe end. The throttle is low.</remarks>
internal sealed class ArmedBench
{
    // A model may wait before it lets the arm channel go; our own figure.
    private static readonly TimeSpan Wait = TimeSpan.FromMilliseconds(600);

    private ArmedBench(BenchRun bench, IReadOnlyList<LossHand> hands) => (Bench, Hands) = (bench, hands);

    /// <summary>The bench.</summary>
    public BenchRun Bench { get; }

    /// <summary>What the hands did, one after the other.</summary>
    public IReadOnlyList<LossHand> Hands { get; }

    /// <summary>Arms the craft of a setup on a bench of its own, the throttle stick then put to a place.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="throttle">Where the throttle stick stands in the end, -100 to 100 %.</param>
    /// <param name="fix">True while the board has a position fix.</param>
    /// <returns>Null when nothing that was tried arms it.</returns>
    public static ArmedBench? Of(Setup setup, Percent throttle, bool fix)
    {
        if (setup.Board.Arm?.Value is not { } arm)
            return null;
        foreach (var safe in new[] { false, true })
        {
            var start = Start(setup, fix, safe);
            foreach (var way in Ways(setup, arm))
            {
                var bench = start.Fork();
                foreach (var hand in way)
                {
                    bench.Move(hand.Control, hand.Setting);
                    bench.AdvanceTo(bench.Now + Wait);
                    if (bench.Board.Armed)
                        break;
                }

                if (bench.Board.Armed)
                    return Raised(setup, bench, way, throttle, safe);
            }
        }

        return null;
    }

    // Throttle low, and switches as they stand at the start or all at their safe end.
    private static BenchRun Start(Setup setup, bool fix, bool safe)
    {
        var bench = new BenchRun(setup);
        bench.Surround(new Surroundings(default, Connected: false, Unlocked: false, Fix: fix));
        foreach (var hand in Before(setup, safe))
            bench.Move(hand.Control, hand.Setting);
        bench.AdvanceTo(Wait + (setup.Board.Guards.Calibration?.ToTimeSpan() ?? TimeSpan.Zero));
        return bench;
    }

    private static IEnumerable<LossHand> Before(Setup setup, bool safe)
    {
        if (Stick(setup, StickAxis.Throttle) is { } low)
            yield return Put(setup, low, -100);
        if (!safe)
            yield break;
        foreach (var (id, control) in setup.Transmitter.Controls.OrderBy(c => c.Key, StringComparer.Ordinal))
            if (control is SwitchControl selector)
                yield return Put(setup, id, selector.Safe);
    }

    private static ArmedBench Raised(
        Setup setup,
        BenchRun bench,
        IReadOnlyList<LossHand> way,
        Percent throttle,
        bool safe
    )
    {
        List<LossHand> hands = [.. Before(setup, safe), .. way];
        foreach (var hand in way)
            if (setup.Transmitter.Controls[hand.Control] is StickControl stick)
                hands.Add(Put(setup, hand.Control, stick.StartSetting));
        if (Stick(setup, StickAxis.Throttle) is { } raised)
            hands.Add(Put(setup, raised, throttle.Value));
        foreach (var hand in hands.Skip(hands.IndexOf(way[^1]) + 1))
            bench.Move(hand.Control, hand.Setting);
        bench.AdvanceTo(bench.Now + Wait);
        // So long that a low throttle counts as one on the ground, unless the board disarms over it.
        var rests = bench.Fork();
        rests.AdvanceTo(rests.Now + (setup.Board.Loss.LowBefore?.ToTimeSpan() ?? TimeSpan.Zero));
        return new ArmedBench(rests.Board.Armed ? rests : bench, hands);
    }

    private static IEnumerable<IReadOnlyList<LossHand>> Ways(Setup setup, BoardFunction arm)
    {
        LossHand[] all =
        [
            .. setup.Transmitter.Controls.OrderBy(c => c.Key, StringComparer.Ordinal).SelectMany(c => Of(c)),
        ];
        LossHand[] arming = [.. all.Where(h => h.Control == arm.Control)];
        var giving = setup
            .Board.Functions.Values.Where(f => f.Kind == FunctionKind.ArmConsent)
            .Select(f => f.Control)
            .ToHashSet(StringComparer.Ordinal);
        LossHand[] consents = [.. all.Where(h => giving.Contains(h.Control))];
        foreach (var hand in arming)
            yield return [hand];
        foreach (var first in all)
        foreach (var hand in arming)
            yield return [first, hand];
        foreach (var hand in all.Except(arming))
            yield return [hand];
        foreach (var first in all)
        foreach (var consent in consents)
        foreach (var hand in arming)
            yield return [first, consent, hand];
    }

    private static string? Stick(Setup setup, StickAxis axis) =>
        setup.Transmitter.Controls.FirstOrDefault(c => c.Value is StickControl stick && stick.Axis == axis).Key;

    // The throttle stays low; other sticks are put to their ends.
    private static IEnumerable<LossHand> Of(KeyValuePair<string, Control> control) =>
        control.Value switch
        {
            StickControl { Axis: StickAxis.Throttle } => [],
            StickControl => [Put(control, 100), Put(control, -100)],
            _ => control.Value.NamedPositions.Select(p => Put(control, p.Setting)),
        };

    private static LossHand Put(Setup setup, string id, double setting) =>
        Put(new(id, setup.Transmitter.Controls[id]), setting);

    private static LossHand Put(KeyValuePair<string, Control> control, double setting) =>
        new(
            control.Key,
            setting,
            control.Value.NamedPositions.FirstOrDefault(p => p.Setting == setting) is { } position
                ? $"{control.Value.Name} {position.Name}"
                : $"{control.Value.Name} at {new Percent(setting)}"
        );
}
