using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A stick that none of channels 1 to 4 takes: the board cannot fly on it.</summary>
public sealed class StickNotSent : IFindingRule
{
    /// <inheritdoc />
    public FindingsTogether Together { get; } = new("stick-not-sent", "{0} sticks are not sent", "Send all {0} sticks");

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var channels = Enumerable.Range(1, ChannelNumber.StickChannels).Select(n => new ChannelNumber(n)).ToArray();
        var taken = channels.Select(n => ChannelOrder.StickOn(setup.Model, setup.Transmitter, n)).ToArray();
        // A channel is free for a stick when it takes none, or one that an earlier channel takes already.
        var free = channels.Where((_, i) => taken[i] is null || Array.IndexOf(taken, taken[i]) < i).ToArray();
        var missing = StickAxes.All.Where(axis => !taken.Contains(axis)).ToArray();
        foreach (var (axis, number) in missing.Zip(free))
        {
            yield return new Finding
            {
                Key = $"stick-not-sent:{axis.Word()}",
                Severity = Severity.Danger,
                Station = Station.Model,
                Place = "/model/channels",
                Title = $"The {axis.Word()} stick is not sent",
                What =
                    $"None of channels 1 to 4 takes {axis.Word()} ({axis.Letter()}); channel {number.Value} takes no stick of its own.",
                Why = $"The board would read a fixed or foreign value for {axis.Word()}.",
                Provenance = Provenance.Practice("channels 1 to 4 carry the four sticks"),
                MayBeJustified = false,
                Fixes =
                [
                    new Fix(
                        "feed",
                        $"Channel {number.Value} takes {axis.Word()}.",
                        ModelEdits.Feed(setup, number, setup.Transmitter.StickOf(axis)!)
                    ),
                ],
            };
        }
    }
}
