using Zephyros.Core.Bench;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Trial;

/// <summary>The test of an alarm on the bench: its limit is raised for the moment, and put back as soon as it was heard. Not safe for use by
/// several threads.</summary>
public sealed class AlarmTest
{
    [Figure(
        Station.Return,
        "An alarm that is tested is waited for, beyond its own delays, for",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Milliseconds Patience = new(5000);

    private readonly BenchRun bench;
    private readonly Alarm alarm;
    private readonly Setup asItIs;
    private readonly Reading level;
    private readonly long known;
    private readonly TimeSpan begun;
    private readonly TimeSpan longest;
    private AlarmTestState state;
    private TimeSpan? heardAt;
    private string words = "";

    private AlarmTest(BenchRun bench, Alarm alarm, Reading level)
    {
        (this.bench, this.alarm, this.level, asItIs) = (bench, alarm, level, bench.Setup);
        (known, begun) = (bench.Log.Count, bench.Now);
        var every = ReturnPlan.Of(asItIs).Sensors[alarm.SensorId].Every?.Value ?? 0;
        longest = new Milliseconds(alarm.Wait.Value + every + Patience.Value).ToTimeSpan();
        bench.Replace(alarm.With(asItIs, level, alarm.Wait));
    }

    /// <summary>What is to be seen of it.</summary>
    public AlarmTestPicture Picture =>
        new(alarm.Id, state, level, words, heardAt is { } at ? new Milliseconds((at - begun).TotalMilliseconds) : null);

    /// <summary>True while the limit is not where it belongs, or it is not known yet whether the alarm is silent again.</summary>
    public bool Runs => state is AlarmTestState.Raised or AlarmTestState.Heard;

    /// <summary>Raises the limit of an alarm on a bench.</summary>
    /// <returns>The test, or why there is none.</returns>
    public static (AlarmTest? Test, string Obstacle) Begin(BenchRun bench, string condition)
    {
        if (Alarm.Of(bench.Setup).FirstOrDefault(a => a.Id == condition) is not { } alarm)
            return (null, "There is no such alarm.");
        if (bench.TelemetryLost)
            return (null, "Telemetry is missed: what it brought last is no reading any more.");
        var heard = bench.HeardOf(alarm.SensorId);
        var raised = RaisedLimit.Of(alarm, heard);
        return raised.Level is { } level ? (new AlarmTest(bench, alarm, level), "") : (null, raised.Obstacle);
    }

    /// <summary>Looks whether it was heard meanwhile, and puts the limit back when that is so, or when it took too long.</summary>
    public void Look()
    {
        if (!Runs)
            return;
        if (state == AlarmTestState.Raised)
            Listen();
        else if (!bench.Holds(alarm.Id))
            state = AlarmTestState.Done;
        else if (bench.Now - heardAt > longest)
            state = AlarmTestState.GoesOn;
    }

    /// <summary>Another revision comes onto the bench; the limit is where that has it.</summary>
    public void BreakOff()
    {
        if (Runs)
            state = AlarmTestState.BrokenOff;
    }

    private void Listen()
    {
        var spoken = asItIs
            .Model.Announcements.Values.Where(a => a.Enabled && a.When == alarm.Id)
            .Select(a => a.Says)
            .ToArray();
        var said = bench
            .Log.After(known)
            .FirstOrDefault(e =>
                e.Kind == LogKind.Said && spoken.Any(s => e.Text.StartsWith(s, StringComparison.Ordinal))
            );
        if (said is not null)
            Heard(said.Text, said.At.ToTimeSpan());
        else if (spoken.Length == 0 && bench.Holds(alarm.Id))
            Heard("It holds; nothing is said of it.", bench.Now);
        else if (bench.Now - begun > longest)
        {
            (state, words) = (
                AlarmTestState.Unheard,
                bench.Holds(alarm.Id) ? "It holds, and nothing was said." : "It does not hold."
            );
            bench.Replace(asItIs);
        }
    }

    private void Heard(string text, TimeSpan at)
    {
        (state, words, heardAt) = (AlarmTestState.Heard, text, at);
        bench.Replace(asItIs);
    }
}
