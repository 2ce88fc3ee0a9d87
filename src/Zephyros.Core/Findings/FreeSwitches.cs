using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Where a function that is missing can be put.</summary>
internal static class FreeSwitches
{
    /// <summary>Switches of two positions that are free and start safe, each with the first AUX channel that is free and arrives.</summary>
    public static IEnumerable<(string Control, ChannelNumber Channel)> Of(SignalPlan plan)
    {
        var setup = plan.Setup;
        var taken = setup
            .Model.Channels.Values.Select(c => c.Number.Value)
            .Concat(setup.Board.Functions.Values.Select(f => f.Channel.Value))
            .ToHashSet();
        var number = Enumerable
            .Range(5, Math.Max(0, SignalPlan.CarriedChannels(setup) - 4))
            .FirstOrDefault(n => !taken.Contains(n));
        if (number == 0)
            yield break;
        foreach (
            var use in plan.Uses.Where(u =>
                u.Free && setup.Transmitter.Controls[u.Control] is SwitchControl { Positions: 2, Safe: 1, Start: 1 }
            )
        )
            yield return (use.Control, new ChannelNumber(number));
    }
}
