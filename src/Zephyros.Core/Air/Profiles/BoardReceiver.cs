using Zephyros.Core.Units;

namespace Zephyros.Core.Air.Profiles;

/// <summary>A receiver that is part of the board, as on very small craft: no port, no wire, bound by a command.</summary>
/// <remarks>Common practice, no source.</remarks>
internal static class BoardReceiver
{
    public static LinkProfile Profile { get; } =
        new()
        {
            Id = "board-receiver",
            Name = "Receiver in the board",
            Summary =
                "A receiver on the board itself, as on very small craft. It takes no serial port and is bound by a command.",
            Frequency = new Megahertz(2440),
            OnLoss = [ReceiverLoss.Silent],
            Modes =
            [
                new()
                {
                    Name = "8 channels",
                    PacketRate = new Hertz(100),
                    Channels = 8,
                },
                new()
                {
                    Name = "12 channels",
                    PacketRate = new Hertz(100),
                    Channels = 12,
                    TelemetryEvery = 32,
                },
            ],
            Bind =
            [
                BindSteps.PropellersOff,
                new()
                {
                    Do =
                        "Connect the board to USB and send it the bind command, or press its bind button for 2 to 3 s after power-up.",
                    Light = "board: two lights solid, or a fast blink",
                    Otherwise = "A board can lock up with the newer sub-family; the older one is the fallback.",
                },
                new()
                {
                    Do = "Put the module in bind mode.",
                    Light = "board: the lights go on blinking until the bind is left",
                },
                BindSteps.LeaveAndCycle,
                BindSteps.SetLoss,
            ],
        };
}
