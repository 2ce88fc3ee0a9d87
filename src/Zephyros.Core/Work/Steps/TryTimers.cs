using Zephyros.Core.Evidence;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Timers;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Work.Steps;

/// <summary>Every timer was seen to start, to stop and to begin anew at the bench.</summary>
public sealed class TryTimers : TickRule
{
    /// <inheritdoc />
    public override string Id => "timers";

    /// <inheritdoc />
    public override int Order => 117;

    /// <inheritdoc />
    public override string Name => "Try the timers";

    /// <inheritdoc />
    public override string Why =>
        "A timer that does not start warns of nothing; one that does not begin anew calls out at the wrong time on the next battery.";

    /// <inheritdoc />
    public override string Caution => "Propellers off, craft held down.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Tried;

    /// <inheritdoc />
    protected override string NotNeeded => "There is no timer.";

    /// <inheritdoc />
    protected override string WordsAre => "what the timer must do";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan) =>
        [
            .. from timer in plan.Setup.Model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal)
            where timer.Value.While is not null
            let flight = TimerTrial.Of(plan, timer.Value)
            where flight is not null
            select new Deed(
                timer.Key,
                $"Arm with the throttle low, raise the throttle, lower it, disarm, unplug the battery. Watch {timer.Value.Label}.",
                $"{Counts(flight)} {Resets(flight)}",
                [.. EvidenceBasis.OfParts(plan.Setup, [.. Parts(plan.Setup, timer.Key, timer.Value)])]
            ),
        ];

    // What the trial says, in the order of the flight.
    private static string Counts(IReadOnlyList<TimerMoment> flight)
    {
        var counted = flight.Where(m => m.Counts).Select(m => m.Event).ToArray();
        bool At(TimerEvent happens) => counted.Contains(happens);
        return (At(TimerEvent.SwitchOn), At(TimerEvent.ThrottleUp), At(TimerEvent.ThrottleLow)) switch
        {
            (true, _, _) => "It counts from the switch on until disarming.",
            (_, true, true) => "It counts from the raised throttle until disarming.",
            (_, true, _) => "It counts only while the throttle is raised.",
            _ => "It does not count.",
        };
    }

    private static string Resets(IReadOnlyList<TimerMoment> flight)
    {
        // Telemetry is not taken away in flight at the bench.
        var reset = flight.FirstOrDefault(m =>
            m.Resets && m.Event is not (TimerEvent.TelemetryLost or TimerEvent.TelemetryBack)
        );
        if (reset is null)
            return "Nothing of this resets it.";
        return reset.Event == TimerEvent.Unplugged
            ? "Once the transmitter misses telemetry of the unplugged craft, it begins anew."
            : $"It begins anew: {reset.Words.ToLowerInvariant()}.";
    }

    private static IEnumerable<(string Pointer, string Words)> Parts(Setup setup, string id, FlightTimer timer)
    {
        yield return ($"/model/timers/{id}", $"the timer {timer.Label}");
        yield return ("/air/telemetry", "whether the link brings telemetry");
        var graph = ModelGraph.Of(setup.Model);
        var behind = new[] { timer.While, timer.Reset?.When }
            .OfType<string>()
            .SelectMany(c => graph.Behind(new ModelNode(NodeKind.Condition, c)))
            .Where(n => n.Kind == NodeKind.Condition)
            .Distinct();
        foreach (var condition in behind)
            yield return ($"/model/conditions/{condition.Id}", $"“{setup.Model.Conditions[condition.Id].Label}”");
    }
}
