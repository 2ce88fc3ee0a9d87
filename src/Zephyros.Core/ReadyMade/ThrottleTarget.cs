using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>The throttle channel as the target of a ready-made chain.</summary>
internal static class ThrottleTarget
{
    /// <summary>The id of the throttle channel; null, and a problem noted, when no channel takes the throttle stick.</summary>
    public static string? Of(Setup setup, Arguments wanted, string parameter)
    {
        var channel = Workshop.ThrottleChannel(setup);
        if (channel is null)
            wanted.Refuse(parameter, "No channel takes the throttle stick, so there is nothing to build it into.");
        return channel;
    }

    /// <summary>What a throttle forced to its lowest sends, as a sentence.</summary>
    public static string Lowest(Setup setup) =>
        $"Forced throttle is {Percent.Low}: {setup.Transmitter.Scale.ToMicroseconds(Percent.Low)} on the wire.";
}
