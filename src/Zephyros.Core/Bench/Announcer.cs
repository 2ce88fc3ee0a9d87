using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;

namespace Zephyros.Core.Bench;

/// <summary>Says what the enabled announcements of a model have to say. Not safe for use by several threads.</summary>
/// <remarks>What a condition sets off is said when it begins to hold, at switch-on too. What the board reports is said when telemetry
/// brings the change.</remarks>
internal sealed class Announcer
{
    private readonly SignalPlan plan;
    private readonly Announcement[] byCondition;
    private readonly Announcement[] byReport;
    private readonly bool[] held;
    private readonly TimeSpan[] again;
    private bool? lost;
    private string? flown;

    public Announcer(SignalPlan plan)
    {
        this.plan = plan;
        Announcement[] enabled =
        [
            .. plan
                .Setup.Model.Announcements.Where(a => a.Value.Enabled)
                .OrderBy(a => a.Key, StringComparer.Ordinal)
                .Select(a => a.Value),
        ];
        byCondition = [.. enabled.Where(a => a.When is not null)];
        byReport = [.. enabled.Where(a => a.When is null)];
        held = new bool[byCondition.Length];
        again = new TimeSpan[byCondition.Length];
        Array.Fill(again, TimeSpan.MaxValue);
    }

    /// <summary>When something is to be said again; <see cref="TimeSpan.MaxValue"/> when nothing is.</summary>
    public TimeSpan Next => again.Length == 0 ? TimeSpan.MaxValue : again.Min();

    /// <summary>What is said once the model has run.</summary>
    /// <param name="memory">What the model then remembers.</param>
    /// <param name="telemetryLost">True while no telemetry arrives.</param>
    /// <param name="now">The time.</param>
    public IEnumerable<string> AfterModel(ModelMemory memory, bool telemetryLost, TimeSpan now)
    {
        var changed = lost is { } before && before != telemetryLost;
        lost = telemetryLost;
        if (changed)
            foreach (
                var text in Reports(telemetryLost ? AnnouncementSubject.SignalLost : AnnouncementSubject.SignalBack)
            )
                yield return text;
        for (var i = 0; i < byCondition.Length; i++)
        {
            var holds = plan.Model.Holds(memory, byCondition[i].When!);
            if (holds && !held[i])
            {
                yield return byCondition[i].Says;
                Again(i, now);
            }

            held[i] = holds;
            if (!holds)
                again[i] = TimeSpan.MaxValue;
        }
    }

    /// <summary>What is said again at a time.</summary>
    public IEnumerable<string> Repeat(TimeSpan now)
    {
        for (var i = 0; i < byCondition.Length; i++)
            if (again[i] <= now)
            {
                yield return byCondition[i].Says;
                Again(i, now);
            }
    }

    /// <summary>What is said of a report of the board.</summary>
    /// <param name="before">The board before.</param>
    /// <param name="after">The board as it reports itself.</param>
    /// <param name="reading">What it makes of the last frame.</param>
    public IEnumerable<string> AfterReport(BoardState before, BoardState after, BoardReading reading)
    {
        var flewBefore = before.HasSignal ? flown : null;
        flown = after.HasSignal
            ? FlightFunctions.ByStrength(plan.Board, reading.View, reading.Fix).FirstOrDefault("")
            : null;
        if (lost != false || !after.HasSignal)
            yield break;
        if (before.Armed != after.Armed)
            foreach (var text in Reports(after.Armed ? AnnouncementSubject.Armed : AnnouncementSubject.Disarmed))
                yield return text;
        if (flewBefore is not null && flewBefore != flown)
            foreach (
                var mode in byReport.Where(a => a.About == AnnouncementSubject.Mode && (a.Function ?? "") == flown)
            )
                yield return mode.Says;
    }

    private IEnumerable<string> Reports(AnnouncementSubject about) =>
        byReport.Where(a => a.About == about).Select(a => a.Says);

    private void Again(int index, TimeSpan now) =>
        again[index] = byCondition[index].Every is { } every ? now + every.ToTimeSpan() : TimeSpan.MaxValue;
}
