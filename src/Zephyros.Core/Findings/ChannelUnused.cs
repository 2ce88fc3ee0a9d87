using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The model sends something on an AUX channel that no board function watches: often the leftover of a template.</summary>
public sealed class ChannelUnused : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } =
        new("channel-unused", "{0} channels that nothing on the board listens to", "Remove all {0} channels");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        // Where a board function wants the control that is sent here, another rule says that it does not get it.
        var meant = setup.Board.Functions.Values.Select(f => f.Control).ToHashSet(StringComparer.Ordinal);
        var watched = setup.Board.Functions.Values.Select(f => f.Channel).ToHashSet();
        var needed = ModelReferences
            .Of(setup.Model)
            .Where(r =>
                r.Kind == ReferenceKind.Channel && !r.Place.StartsWith("/model/overrides", StringComparison.Ordinal)
            )
            .Select(r => r.Id)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var (id, channel) in setup.Model.Channels)
        {
            if (channel.Number.Aux is null || watched.Contains(channel.Number) || needed.Contains(id))
                continue;
            if (channel.Take is ControlSource { Control: var control } && meant.Contains(control))
                continue;
            yield return new Finding
            {
                Key = $"channel-unused:{id}",
                Severity = Severity.Caution,
                Station = Station.Model,
                Place = $"/model/channels/{id}",
                Title = $"Nothing on the board listens to {channel.Label}",
                What = $"{Capital(channel.Number.ToString())} is sent, and no function of the board watches it.",
                Why =
                    "A leftover of a template, or a function that was forgotten on the board. A function added there later would find it already moving.",
                Provenance = Provenance.Practice("clear whatever a template has put on the channels"),
                MayBeJustified = true,
                Fixes =
                [
                    new Fix(
                        "remove",
                        "Takes the channel out of the model, with the overrides on it.",
                        Removals.Of(setup, $"/model/channels/{id}")!.Edit!
                    ),
                ],
            };
        }
    }

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
