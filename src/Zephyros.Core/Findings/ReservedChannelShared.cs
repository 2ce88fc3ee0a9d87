using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The link reserves channel 5 for arming, and something else uses it, or its switch has more than two positions.</summary>
public sealed class ReservedChannelShared : IFindingRule
{
    private static readonly ChannelNumber Reserved = ChannelNumber.FromAux(1);

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (!plan.Setup.Air.ReservesArmChannel)
            yield break;
        foreach (var (id, function) in plan.Setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal))
            if (function.Channel == Reserved && function.Kind != FunctionKind.Arm)
                yield return Shared($"{function.Label} is on it too", $"/board/functions/{id}", id);
        if (
            plan.ChannelAt(Reserved)?.SourceControl is { } control
            && plan.Setup.Transmitter.Controls[control] is SwitchControl { Positions: > 2 } made
        )
            yield return Shared(
                $"{made.Name} has {made.Positions} positions, and only two of them arrive",
                $"/transmitter/controls/{control}",
                control
            );
    }

    private static Finding Shared(string what, string place, string id) =>
        new()
        {
            Key = $"reserved-channel-shared:{id}",
            Severity = Severity.Danger,
            Station = Station.Air,
            Place = place,
            Title = "The channel reserved for arming is shared",
            What = $"The link carries channel 5 (AUX 1) as on and off only, for arming: {what}.",
            Why = "What shares it changes together with arming, or does not arrive at all.",
            Provenance = Provenance.Practice("some links reserve channel 5 for arming as a pure on/off channel"),
            MayBeJustified = true,
            Fixes = [],
        };
}
