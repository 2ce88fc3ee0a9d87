using System.Collections.Immutable;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air.Profiles;

/// <summary>A packet link whose sticks have full resolution and whose auxiliaries have few steps; channel 5 is for arming.</summary>
/// <remarks>Common practice, no source; sensitivities from memory.</remarks>
internal static class SteppedPackets
{
    private static ImmutableDictionary<ChannelNumber, int> Few { get; } = Stepped(6, 64, 6, 6, 6, 6, 2);

    private static ImmutableDictionary<ChannelNumber, int> Fine { get; } = Stepped(64, 64, 64, 64, 64, 64, 64);

    public static LinkProfile Profile { get; } =
        new()
        {
            Id = "stepped-packets",
            Name = "Stepped packets",
            Summary =
                "Fast packets: four sticks with full resolution, channel 5 as on and off for arming, the other auxiliaries with a few steps each.",
            Frequency = new Megahertz(2440),
            OnLoss = [ReceiverLoss.Silent, ReceiverLoss.Preset],
            QualityOnChannel = true,
            Modes =
            [
                Mode("250 packets a second, few steps", 250, -108, 12, Few, 64),
                Mode("500 packets a second, few steps", 500, -105, 12, Few, 128),
                Mode("150 packets a second, 64 steps", 150, -112, 12, Fine, 32),
                Mode("50 packets a second, 64 steps", 50, -115, 12, Fine, 16),
            ],
            Bind =
            [
                BindSteps.PropellersOff,
                new()
                {
                    Do =
                        "Give the craft power first, the transmitter second; choose the same packet rate family on both.",
                    Light = "receiver: slow blink, it looks for its transmitter",
                },
                new()
                {
                    Do = "Put the receiver in bind mode: button for 2 to 3 s, or a command on the board.",
                    Light = "receiver: double blink",
                    Otherwise =
                        "Switch the power of the craft off and on three times, each within a second, and look again.",
                },
                new()
                {
                    Do = "Put the module in bind mode.",
                    Light = "receiver: solid within a few seconds",
                    Otherwise = "Compare the firmware versions: their first figures must be the same on both.",
                },
                BindSteps.LeaveAndCycle,
                BindSteps.SetLoss,
            ],
        };

    private static LinkMode Mode(
        string name,
        double rate,
        double sensitivity,
        int channels,
        ImmutableDictionary<ChannelNumber, int> steps,
        int telemetryEvery
    ) =>
        new()
        {
            Name = name,
            PacketRate = new Hertz(rate),
            Channels = channels,
            Sensitivity = new DecibelMilliwatts(sensitivity),
            ChannelSteps = steps,
            ReservesArmChannel = true,
            TelemetryEvery = telemetryEvery,
        };

    // From channel 6 on.
    private static ImmutableDictionary<ChannelNumber, int> Stepped(params int[] steps) =>
        steps.Select((s, i) => KeyValuePair.Create(new ChannelNumber(i + 6), s)).ToImmutableDictionary();
}
