using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>One control is taken by several channels.</summary>
public sealed class ControlTwice : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, control) in plan.Model.Controls)
        {
            var channels = plan.Model.Channels.Where(c => c.SourceControl == id).ToArray();
            if (channels.Length < 2)
                continue;
            var listed = string.Join(", ", channels.Select(c => $"{c.Channel.Number} ({c.Channel.Label})"));
            var arms = plan.Setup.Board.Arm?.Value.Control == id;
            yield return new Finding
            {
                Key = $"control-twice:{id}",
                Severity = arms || control is StickControl ? Severity.Danger : Severity.Caution,
                Station = Station.Hands,
                Place = $"/transmitter/controls/{id}",
                Title = $"{control.Name} feeds {channels.Length} channels",
                What = $"It is taken by {listed}.",
                Why = arms
                    ? "Arming does something else at the same time."
                    : "Two things happen on one movement. That is right only on purpose; say why, or give one of them another control.",
                Provenance = Provenance.Practice(
                    "one control may carry two functions on purpose, to be justified in a note"
                ),
                MayBeJustified = true,
                Fixes = [],
            };
        }
    }
}
