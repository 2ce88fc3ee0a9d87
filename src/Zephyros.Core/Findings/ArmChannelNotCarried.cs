using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Findings;

/// <summary>The board watches a channel for arming that transmitter, link or wire format does not carry.</summary>
public sealed class ArmChannelNotCarried : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (ArmingPath.Of(plan) is not { } arming || arming.Function.Channel.Value <= arming.Carried)
            yield break;
        var setup = plan.Setup;
        yield return new Finding
        {
            Key = $"arm-channel-not-carried:{arming.FunctionId}",
            Severity = Severity.Danger,
            Station = setup.Wire.Format.Describe().Channels == arming.Carried ? Station.Wire : Station.Air,
            Place = $"{arming.Place}/aux",
            Title = $"{arming.Function.Label} listens on a channel that does not arrive",
            What =
                $"The board watches {arming.Function.Channel}. Transmitter sends {setup.Transmitter.Channels} channels, "
                + $"the link carries {setup.Air.Channels}, {plan.Wire.Name} holds {plan.Wire.Channels}.",
            Why = "The board never sees the switch there: it neither arms nor disarms.",
            Provenance = Provenance.Memory("the channel count of the format"),
            MayBeJustified = false,
            Fixes = [.. Fixes(setup, arming)],
        };
    }

    private static IEnumerable<Fix> Fixes(Setup setup, ArmingPath arming)
    {
        if (arming.SentOn?.Aux is { } aux)
        {
            yield return new Fix(
                "watch",
                $"The board watches the channel that {arming.Control.Name} is sent on.",
                BoardEdits.WatchAux(setup, arming.FunctionId, aux)
            );
            yield break;
        }

        var taken = setup.Model.Channels.Values.Select(c => c.Number.Value).ToHashSet();
        var free = Enumerable
            .Range(ChannelNumber.FromAux(1).Value, Math.Max(0, arming.Carried - ChannelNumber.StickChannels))
            .FirstOrDefault(n => !taken.Contains(n));
        if (free == 0)
            yield break;
        var number = new ChannelNumber(free);
        var fed = ModelEdits.Feed(setup, number, arming.Function.Control).ApplyTo(setup).Setup!;
        var moved = BoardEdits.WatchAux(fed, arming.FunctionId, number.Aux!.Value).ApplyTo(fed).Setup!;
        yield return new Fix(
            "move",
            $"The transmitter sends {arming.Control.Name} on {number}, and the board watches it there.",
            SetupEdit.Between($"Arm on AUX {number.Aux}", setup, moved)
        );
    }
}
