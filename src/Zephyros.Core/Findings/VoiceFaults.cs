using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about the voice have in common.</summary>
internal static class VoiceFaults
{
    /// <summary>What is enabled, by id.</summary>
    public static IEnumerable<KeyValuePair<string, Announcement>> Enabled(Setup setup) =>
        setup.Model.Announcements.Where(a => a.Value.Enabled).OrderBy(a => a.Key, StringComparer.Ordinal);

    /// <summary>The values that a condition lets the transmitter speak, by id.</summary>
    public static IEnumerable<KeyValuePair<string, Announcement>> AskedValues(SignalPlan plan) =>
        Enabled(plan.Setup)
            .Where(a => a.Value.When is not null && SpeechRanks.Of(plan.Model.Graph, a.Value) == SpeechRank.Value);

    /// <summary>The controls whose positions alone decide a condition; none when anything else has a say.</summary>
    public static IReadOnlySet<string> Switches(TransmitterModel model, string condition)
    {
        var controls = new HashSet<string>(StringComparer.Ordinal);
        return Gather(model, model.Conditions[condition].Test, controls, [])
            ? controls
            : new HashSet<string>(StringComparer.Ordinal);
    }

    /// <summary>How long an announcement takes at most.</summary>
    public static Milliseconds Longest(Setup setup, Announcement made) =>
        SpeechTime.Longest(setup.Model, made, setup.Transmitter.WordTime);

    /// <summary>Times between two sayings are whole seconds, one more than speaking takes.</summary>
    public static Milliseconds RoomFor(Milliseconds speech) => new((Math.Floor(speech.Value / 1000) + 2) * 1000);

    /// <summary>The fix that changes announcements.</summary>
    public static Fix Changing(
        Setup setup,
        string fix,
        string description,
        string title,
        params IEnumerable<(string Id, Announcement Instead)> changes
    ) =>
        new(
            fix,
            description,
            SetupEdit.Between(
                title,
                setup,
                setup with
                {
                    Model = setup.Model with
                    {
                        Announcements = setup.Model.Announcements.SetItems(
                            changes.Select(c => KeyValuePair.Create(c.Id, c.Instead))
                        ),
                    },
                }
            )
        );

    private static bool Gather(TransmitterModel model, Test test, HashSet<string> controls, HashSet<string> seen)
    {
        switch (test)
        {
            case PositionTest position:
                controls.Add(position.Control);
                return true;
            case CompareTest { Value: ControlSource control }:
                controls.Add(control.Control);
                return true;
            case HoldsTest holds:
                return seen.Add(holds.Condition)
                    && Gather(model, model.Conditions[holds.Condition].Test, controls, seen);
            case AllTest or AnyTest or NotTest or DelayTest:
                return test.Parts.All(part => Gather(model, part, controls, seen));
            default:
                return false;
        }
    }
}
