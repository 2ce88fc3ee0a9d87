using System.Collections.Immutable;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.ReadyMade;

/// <summary>Says in words what one setup has in its model that another has not.</summary>
public static class ModelChanges
{
    /// <summary>One line for everything that was added or changed between two setups.</summary>
    public static IReadOnlyList<string> Between(Setup before, Setup after)
    {
        var words = new ModelWords(after.Transmitter, after.Model);
        return
        [
            .. Added(before.Model.Conditions, after.Model.Conditions)
                .Select(c => $"Condition “{c.Value.Label}”: {words.Of(c.Value.Test)}."),
            .. after
                .Model.Channels.OrderBy(c => c.Value.Number.Value)
                .SelectMany(c => Chain(before.Model.Channels[c.Key], c.Value, words)),
            .. Added(before.Model.Overrides, after.Model.Overrides).Select(o => Override(after.Model, o.Value, words)),
            .. Added(before.Model.Sensors, after.Model.Sensors).Select(s => $"Sensor {s.Value.Label}."),
            .. after
                .Model.Announcements.OrderBy(a => a.Key, StringComparer.Ordinal)
                .Where(a => before.Model.Announcements.GetValueOrDefault(a.Key) != a.Value)
                .Select(a => $"Announcement {words.Of(a.Value)}"),
            .. Added(before.Model.Timers, after.Model.Timers)
                .Select(t => $"Timer “{t.Value.Label}”: {words.Of(t.Value)}"),
        ];
    }

    private static IEnumerable<string> Chain(Channel before, Channel after, ModelWords words)
    {
        var name = $"Channel {after.Number.Value} ({after.Label})";
        if (before.Take != after.Take)
            yield return $"{name} takes {words.Of(after.Take)}.";
        foreach (var (id, step) in after.OrderedSteps)
        {
            if (!before.Steps.TryGetValue(id, out var old))
                yield return $"{name}, new step: {words.Of(step)}.";
            else if (old != step)
                yield return $"{name}, in place of the {words.Of(old)}: {words.Of(step)}.";
        }
        if (before.Output != after.Output)
            yield return $"{name}: ends {after.Output.Low} and {after.Output.High}.";
    }

    private static string Override(TransmitterModel model, Override forced, ModelWords words) =>
        $"Override “{forced.Label}”: channel {model.Channels[forced.Channel].Label} is {forced.Value} while “{words.Condition(forced.When)}” holds.";

    private static IEnumerable<KeyValuePair<string, T>> Added<T>(
        ImmutableDictionary<string, T> before,
        ImmutableDictionary<string, T> after
    ) => after.Where(a => !before.ContainsKey(a.Key)).OrderBy(a => a.Key, StringComparer.Ordinal);
}
