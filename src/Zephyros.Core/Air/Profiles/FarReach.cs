using Zephyros.Core.Units;

namespace Zephyros.Core.Air.Profiles;

/// <summary>A sub-gigahertz link for distance: slow, and on a band that differs by region.</summary>
/// <remarks>About 868 MHz in ITU region 1, about 915 MHz in much of regions 2 and 3: common practice, no source.</remarks>
internal static class FarReach
{
    public static LinkProfile Profile { get; } =
        new()
        {
            Id = "far-reach",
            Name = "Far reach",
            Summary = "Below one gigahertz: fewer packets, farther and around more. The band differs by region.",
            Frequency = new Megahertz(868),
            FrequencyElsewhere = new Megahertz(915),
            OnLoss = [ReceiverLoss.Silent, ReceiverLoss.Hold, ReceiverLoss.Preset],
            QualityOnChannel = true,
            Modes =
            [
                new()
                {
                    Name = "50 packets a second",
                    PacketRate = new Hertz(50),
                    Channels = 12,
                    TelemetryEvery = 8,
                },
                new()
                {
                    Name = "150 packets a second",
                    PacketRate = new Hertz(150),
                    Channels = 12,
                    TelemetryEvery = 16,
                },
            ],
            Bind =
            [
                BindSteps.PropellersOff,
                new()
                {
                    Do = "Choose the band that is legal where you fly, on module and receiver alike.",
                    Otherwise = "A receiver made for the other band never binds. Do not transmit to try.",
                },
                new()
                {
                    Do = "Hold the receiver's button while it gets power.",
                    Light = "receiver: green and red in turn",
                    Otherwise = "Hold it for the first three seconds after power-up instead.",
                },
                new()
                {
                    Do = "Put the module in bind mode. Never interrupt an update during the bind.",
                    Light = "receiver: green",
                },
                BindSteps.LeaveAndCycle,
                BindSteps.SetLoss,
            ],
        };
}
