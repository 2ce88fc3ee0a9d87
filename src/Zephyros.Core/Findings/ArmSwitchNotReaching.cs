using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board watches a channel for arming that does not take the control meant to arm.</summary>
public sealed class ArmSwitchNotReaching : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (ArmingPath.Of(plan) is not { } arming || arming.Arrives || arming.Function.Channel.Value > arming.Carried)
            yield break;
        var watched = arming.Function.Channel;
        var feeding = arming.Watched is { } channel
            ? $"takes {new ModelWords(plan.Setup.Transmitter, plan.Setup.Model).Of(channel.Channel.Take)}"
            : "nothing feeds";
        var sent = arming.SentOn is { } number
            ? $"{arming.Control.Name} is sent on {number}."
            : $"No AUX channel takes {arming.Control.Name}.";
        yield return new Finding
        {
            Key = $"arm-switch-not-reaching:{arming.FunctionId}",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = $"{arming.Place}/aux",
            Title = $"{arming.Control.Name} does not reach {arming.Function.Label}",
            What = $"The board watches {watched}, which {feeding}. {sent}",
            Why = arming.Watched is null
                ? "The board sees a fixed value there: the switch neither arms nor disarms."
                : "Another control would arm the motors, and the arm switch would not disarm them.",
            Provenance = Provenance.Practice(
                "AUX n is channel n + 4" + (Confused(arming) ? ". The two numbers look confused here" : "")
            ),
            MayBeJustified = false,
            Fixes = [.. Fixes(plan.Setup, arming)],
        };
    }

    private static bool Confused(ArmingPath arming) => arming.SentOn?.Value == arming.Function.Aux;

    private static IEnumerable<Fix> Fixes(Setup setup, ArmingPath arming)
    {
        if (arming.SentOn?.Aux is { } aux)
            yield return new Fix(
                "watch",
                $"The board watches the channel that {arming.Control.Name} is sent on.",
                BoardEdits.WatchAux(setup, arming.FunctionId, aux)
            );
        var number = arming.Function.Channel;
        if (number.Value <= setup.Transmitter.Channels && arming.Watched is null)
            yield return new Fix(
                "feed",
                $"The transmitter sends {arming.Control.Name} on {number} as well.",
                ModelEdits.Feed(setup, number, arming.Function.Control)
            );
    }
}
