using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Every change is announced, and nothing announced is wrong.</summary>
public sealed class ChangesAnnounced : Promise
{
    /// <inheritdoc />
    public override string Code => "changes-announced";

    /// <inheritdoc />
    public override int Order => 16;

    /// <inheritdoc />
    public override string Name => "Every change is announced, and truly";

    /// <inheritdoc />
    public override string Title =>
        "While the signal lasts, arming, disarming and every change of mode are announced as they happen, and nothing announces them when they did not; so are a lost signal and its return.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Practice("the pilot knows");

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan)
    {
        if (!plan.Setup.Air.Telemetry)
            return new PromiseVerdict(
                VerdictKind.Broken,
                "The link brings no telemetry back, so the transmitter cannot announce a lost signal or what the board does."
            );
        if (
            ReturnPlan.Of(plan.Setup).BoardObstacle is { } obstacle
            && plan.Setup.Model.Announcements.Values.Any(a =>
                a
                    is {
                        Enabled: true,
                        When: null,
                        About: not (AnnouncementSubject.SignalLost or AnnouncementSubject.SignalBack)
                    }
            )
        )
            return new PromiseVerdict(
                VerdictKind.Broken,
                $"The board's own report sets off announcements, and does not come. {obstacle.Words}"
            );
        var missing = new[]
        {
            (About: AnnouncementSubject.SignalLost, Words: "that the signal is lost"),
            (About: AnnouncementSubject.SignalBack, Words: "that the signal is back"),
        }
            .Where(m => !Enabled(plan, m.About).Any(a => FollowsTelemetry(plan.Setup.Model, a)))
            .Select(m => m.Words)
            .ToArray();
        if (missing.Length > 0)
            return new PromiseVerdict(VerdictKind.Broken, $"Nothing announces {string.Join(", nor ", missing)}.");
        return Checks(plan).Any()
            ? null
            : new PromiseVerdict(
                VerdictKind.Proven,
                "The board's own report sets off each announcement, and telemetry that stays away the rest."
            );
    }

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan)
    {
        foreach (var happening in Events(plan))
        {
            var asksForFix =
                happening.Subject == AnnouncementSubject.Mode
                && plan.Board.Functions.Any(f => FlightFunctions.NeedsFix(f.Value.Kind));
            var said = Enabled(plan, happening.Subject).Where(a => a.Function == happening.Function).ToArray();
            string[] cues = [.. said.Select(a => a.When).OfType<string>().Distinct(StringComparer.Ordinal)];
            var reported = said.Any(a => a.When is null);
            // A report cannot be wrong, and comes whenever there is a signal.
            if (reported && cues.Length == 0)
                continue;
            yield return new PromiseCheck(happening.Bits, () => new Watcher(happening.Now, reported, asksForFix))
            {
                About = happening.Words,
                Cues = cues,
            };
        }
    }

    // What must be announced: of what the board does, what tells that it is so.
    private static IEnumerable<(
        AnnouncementSubject Subject,
        string? Function,
        string Words,
        ulong Bits,
        Func<Change, bool> Now
    )> Events(SignalPlan plan)
    {
        var board = plan.Board;
        yield return (AnnouncementSubject.Armed, null, "Armed", board.MotorBits, change => change.Board.Armed);
        yield return (AnnouncementSubject.Disarmed, null, "Disarmed", board.MotorBits, change => !change.Board.Armed);
        var modes = board.Functions.Where(f => FlightFunctions.Flies(f.Value.Kind)).ToArray();
        if (modes.Length == 0)
            yield break;
        var bits = board.BitsOf([.. modes.Select(m => m.Value.Kind)]);
        yield return (AnnouncementSubject.Mode, null, "Rate flight", bits, Flies(""));
        foreach (var (id, mode) in modes)
            yield return (AnnouncementSubject.Mode, id, mode.Label, bits, Flies(id));

        Func<Change, bool> Flies(string id) =>
            change => FlightFunctions.ByStrength(board, change.View, change.Fix).FirstOrDefault("") == id;
    }

    private static IEnumerable<Announcement> Enabled(SignalPlan plan, AnnouncementSubject about) =>
        plan.Setup.Model.Announcements.Values.Where(a => a.Enabled && a.About == about);

    // A condition that begins to hold whenever telemetry stays away, or comes back.
    private static bool FollowsTelemetry(TransmitterModel model, Announcement announcement) =>
        announcement.When is not { } when
        || Follows(model, model.Conditions[when].Test, announcement.About == AnnouncementSubject.SignalLost, []);

    private static bool Follows(TransmitterModel model, Test test, bool lost, HashSet<string> seen) =>
        test switch
        {
            TelemetryLostTest => lost,
            NotTest { Of: [var inner] } => Follows(model, inner, !lost, seen),
            DelayTest { Of: [var inner] } => Follows(model, inner, lost, seen),
            HoldsTest holds => seen.Add(holds.Condition)
                && Follows(model, model.Conditions[holds.Condition].Test, lost, seen),
            _ => false,
        };

    // Remembers which of the conditions held, whether it was so, and, before the first move, that nothing is known yet.
    private sealed class Watcher(Func<Change, bool> now, bool reported, bool looksAtFix) : Watch
    {
        private const int Was = 1 << ProofScope.MostCues;
        private const int AtSwitchOn = Was << 1;

        public override int Start => AtSwitchOn;

        public override bool LooksAtFix => looksAtFix;

        public override int Next(int monitor, in Change change)
        {
            var knows = change is { Radio: RadioState.Up, Board.HasSignal: true };
            var isSo = knows && now(change);
            var begins = monitor != AtSwitchOn && (change.Cues & ~monitor) != 0;
            var after = change.Cues | (isSo ? Was : 0);
            if (!knows)
                return after;
            if (begins && !isSo)
                return Broken;
            var knewBefore = change.Before is { Radio: RadioState.Up, Board.HasSignal: true };
            if (!knewBefore || !isSo || (monitor & Was) != 0)
                return after;
            PremiseReached = true;
            return begins || reported ? after : Broken;
        }
    }
}
