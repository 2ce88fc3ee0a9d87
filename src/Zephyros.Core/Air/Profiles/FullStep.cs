using Zephyros.Core.Units;

namespace Zephyros.Core.Air.Profiles;

/// <summary>Sixteen channels with full resolution, telemetry, and a receiver whose behaviour on a loss is set at the transmitter.</summary>
/// <remarks>Common practice, no source.</remarks>
internal static class FullStep
{
    public static LinkProfile Profile { get; } =
        new()
        {
            Id = "full-step",
            Name = "Full-step 16",
            Summary =
                "Sixteen channels with full resolution at a moderate rate; receivers of different sub-families do not understand each other.",
            Frequency = new Megahertz(2440),
            OnLoss = [ReceiverLoss.Silent, ReceiverLoss.Hold, ReceiverLoss.Preset],
            QualityOnChannel = true,
            Modes =
            [
                new()
                {
                    Name = "16 channels",
                    PacketRate = new Hertz(100),
                    Channels = 16,
                    TelemetryEvery = 8,
                },
                new()
                {
                    Name = "8 channels, twice as often",
                    PacketRate = new Hertz(140),
                    Channels = 8,
                    TelemetryEvery = 8,
                },
            ],
            Bind =
            [
                BindSteps.PropellersOff,
                new()
                {
                    Do =
                        "Switch the transmitter on with the craft's model chosen. See that exactly one radio module is on and that its sub-family is the receiver's.",
                },
                new()
                {
                    Do =
                        "Choose the options: which block of channels the receiver puts out, telemetry on, the receiver number. Then put the module in bind mode.",
                    Light = "the module's light blinks, or it beeps",
                },
                new()
                {
                    Do = "Hold the receiver's button and give it power; let go.",
                    Light = "receiver: two colours at once, or a fast blink",
                    Otherwise = "Take the power off, wait five seconds, and hold the button before the power comes.",
                },
                new()
                {
                    Do = "Wait. A receiver may be updated during the bind: never interrupt it.",
                    Light = "receiver: the blinking changes",
                    Otherwise = "Compare the sub-family on both sides; the receiver's decides.",
                },
                BindSteps.LeaveAndCycle,
                BindSteps.SetLoss,
            ],
        };
}
