using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Path;

namespace Zephyros.Core.Bench;

/// <summary>Knows what the enabled announcements of a model have to say, and when. Not safe for use by several threads.</summary>
/// <remarks>What a condition sets off is to be said when it begins to hold, at switch-on too. Of the board it knows what the packets of
/// telemetry bring: what was over before one came is never said, and what changed while none came is said with the next.</remarks>
internal sealed class Announcer
{
    private readonly SignalPlan plan;
    private readonly Announcement[] byCondition;
    private readonly Announcement[] byReport;
    private readonly bool[] held;
    private readonly TimeSpan[] again;
    private bool? lost;
    private bool? armed;
    private string? flown;

    /// <summary>An announcer that has said nothing yet.</summary>
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
    public IEnumerable<Utterance> AfterModel(ModelMemory memory, bool telemetryLost, TimeSpan now)
    {
        var changed = lost is { } before && before != telemetryLost;
        lost = telemetryLost;
        if (changed)
            foreach (
                var report in Reports(telemetryLost ? AnnouncementSubject.SignalLost : AnnouncementSubject.SignalBack)
            )
                yield return report;
        for (var i = 0; i < byCondition.Length; i++)
        {
            var holds = plan.Model.Holds(memory, byCondition[i].When!);
            if (holds && !held[i])
            {
                yield return Said(byCondition[i]);
                Again(i, now);
            }

            held[i] = holds;
            if (!holds)
                again[i] = TimeSpan.MaxValue;
        }
    }

    /// <summary>What is said again at a time.</summary>
    public IEnumerable<Utterance> Repeat(TimeSpan now)
    {
        for (var i = 0; i < byCondition.Length; i++)
            if (again[i] <= now)
            {
                yield return Said(byCondition[i]);
                Again(i, now);
            }
    }

    /// <summary>What is said of a packet of telemetry. The first one changes nothing, and a board without a signal has nothing to tell.</summary>
    /// <param name="board">The board as it reports itself.</param>
    /// <param name="reading">What it makes of the last frame.</param>
    public IEnumerable<Utterance> AfterPacket(BoardState board, BoardReading reading)
    {
        if (!board.HasSignal)
            yield break;
        var (armedBefore, flownBefore) = (armed, flown);
        armed = board.Armed;
        flown = FlightFunctions.ByStrength(plan.Board, reading.View, reading.Fix).FirstOrDefault("");
        if (armedBefore is { } was && was != armed)
            foreach (var report in Reports(board.Armed ? AnnouncementSubject.Armed : AnnouncementSubject.Disarmed))
                yield return report;
        if (flownBefore is not null && flownBefore != flown)
            foreach (
                var mode in byReport.Where(a => a.About == AnnouncementSubject.Mode && (a.Function ?? "") == flown)
            )
                yield return Said(mode);
    }

    /// <summary>True when an announcement can set something off.</summary>
    public bool Knows(Utterance utterance) => byCondition.Concat(byReport).Any(a => Said(a) == utterance);

    /// <summary>Goes on where another revision of the same transmitter was: what it has heard is no news, nor is a condition that goes on
    /// to hold.</summary>
    public void GoOnAfter(Announcer before)
    {
        (lost, armed, flown) = (before.lost, before.armed, before.flown);
        for (var i = 0; i < byCondition.Length; i++)
            if (Array.IndexOf(before.byCondition, byCondition[i]) is >= 0 and var same)
                (held[i], again[i]) = (before.held[same], before.again[same]);
    }

    private Utterance Said(Announcement made) => Utterance.Of(plan.Model.Graph, made);

    private IEnumerable<Utterance> Reports(AnnouncementSubject about) =>
        byReport.Where(a => a.About == about).Select(Said);

    private void Again(int index, TimeSpan now) =>
        again[index] = byCondition[index].Every is { } every ? now + every.ToTimeSpan() : TimeSpan.MaxValue;
}
