using Zephyros.Core.Units;

namespace Zephyros.Core.Air.Profiles;

/// <summary>An older link: eight channels, no telemetry, and a receiver that cannot fall silent.</summary>
/// <remarks>Common practice, no source.</remarks>
internal static class PlainEight
{
    public static LinkProfile Profile { get; } =
        new()
        {
            Id = "plain-eight",
            Name = "Plain eight",
            Summary =
                "Eight channels, no telemetry. On a loss the receiver holds or sends presets; it cannot fall silent.",
            Frequency = new Megahertz(2440),
            OnLoss = [ReceiverLoss.Preset, ReceiverLoss.Hold],
            Modes =
            [
                new()
                {
                    Name = "8 channels",
                    PacketRate = new Hertz(50),
                    Channels = 8,
                },
            ],
            Bind =
            [
                BindSteps.PropellersOff,
                new()
                {
                    Do = "Put the bind plug into the receiver, or hold its button, and give it power.",
                    Light = "receiver: fast blink",
                    Otherwise = "The plug goes where the signal of the last output would go; look at the print.",
                },
                new()
                {
                    Do =
                        "Stand with throttle low and all switches at their safe end: some receivers store this as their presets. Put the transmitter in bind mode.",
                    Light = "receiver: the blinking stops",
                },
                BindSteps.LeaveAndCycle,
                BindSteps.SetLoss,
            ],
        };
}
