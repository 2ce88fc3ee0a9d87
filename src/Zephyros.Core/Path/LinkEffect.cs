using Zephyros.Core.Air;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path;

/// <summary>What link and receiver are planned to make of a channel on its way.</summary>
public static class LinkEffect
{
    /// <summary>Why a channel does not arrive as it is sent, in a sentence; empty when it does.</summary>
    public static string Of(SignalPlan plan, ChannelNumber number)
    {
        var carried = SignalPlan.CarriedChannels(plan.Setup);
        if (number.Value > carried)
            return $"Only channels 1 to {carried} are carried.";
        if (plan.QualityPlace == number.Value - 1)
            return "The receiver puts the signal quality here.";
        var steps = plan.Setup.Air.StepsOn(number.Value);
        return steps == LinkSteps.Full ? "" : $"The link has {steps} steps on this channel.";
    }
}
