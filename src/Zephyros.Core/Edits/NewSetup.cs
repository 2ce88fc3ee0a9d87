using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Edits;

/// <summary>An empty memory to start from: the four sticks are sent and read in the same order, and nothing arms.</summary>
public static class NewSetup
{
    /// <summary>A setup for a craft on a transmitter.</summary>
    /// <param name="name">The craft's name, 1 to 40 characters; whether it does is for the validator to say.</param>
    /// <param name="transmitter">The transmitter with a stick for each axis.</param>
    public static Setup For(string name, Transmitter transmitter)
    {
        var order = StickOrder.Parse("AETR");
        var channels = StickAxes.All.ToImmutableDictionary(
            axis => axis.Word(),
            axis => new Channel
            {
                Number = order.ChannelOf(axis),
                Label = transmitter.Controls[transmitter.StickOf(axis)!].Label,
                Take = new ControlSource { Control = transmitter.StickOf(axis)! },
            },
            StringComparer.Ordinal
        );
        var setup = new Setup
        {
            Format = Setup.FormatName,
            Version = Setup.CurrentVersion,
            Craft = new CraftDescription
            {
                Name = name,
                Summary = "",
                Cells = 4,
            },
            Transmitter = transmitter,
            Model = new TransmitterModel { Name = Stored(name), Channels = channels },
            Air = new LinkSettings { Channels = transmitter.Channels, PacketRate = new Hertz(100) },
            Wire = new WireSettings { Format = WireFormat.Packed16, FramePeriod = new Milliseconds(7) },
            Board = new FlightBoard
            {
                Ports = ImmutableDictionary.CreateRange(
                    StringComparer.Ordinal,
                    Enumerable
                        .Range(1, 4)
                        .Select(n => KeyValuePair.Create($"port-{n}", new SerialPort { Label = $"Port {n}" }))
                ),
                ReceiverPort = "port-1",
                Map = order,
                ThrottleLow = new Microseconds(transmitter.Scale.ToMicroseconds(Percent.Low).Value + 20),
                SignalTimeout = new Milliseconds(200),
                MaximumRate = new DegreesPerSecond(500),
                Functions = ImmutableDictionary<string, BoardFunction>.Empty,
            },
        };
        return ReportedChanges.Announce(setup);
    }

    /// <summary>A craft of another name with the same setup. Its model is stored under a name of its own, or the one would be taken for the
    /// other. What it does on a loss is the other craft's until somebody says that it holds here, and how long its receiver goes on was measured
    /// on the other one's.</summary>
    /// <param name="setup">What is copied.</param>
    /// <param name="name">The new craft's name, 1 to 40 characters; whether it does is for the validator to say.</param>
    public static Setup Copy(Setup setup, string name) =>
        setup with
        {
            Craft = setup.Craft with { Name = name },
            Model = setup.Model with { Name = Stored(name) },
            Air = setup.Air with { GivesUpAfter = null, LossCopiedFrom = setup.Craft.Name },
        };

    // Transmitters store names in capitals and few letters.
    private static string Stored(string name) => ShortNames.Cut(name.ToUpperInvariant().Trim(), 15);
}
