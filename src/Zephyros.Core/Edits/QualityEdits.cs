using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Edits that bring the signal quality to the board: who puts it into a channel, and where the board reads it. Each is a pure function of
/// the setup.</summary>
public static class QualityEdits
{
    /// <summary>Lets the receiver put the signal quality into a channel, and the board read it there.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="number">The channel, 5 or more.</param>
    public static SetupEdit ByReceiver(Setup setup, ChannelNumber number) =>
        SetupEdit.Between(
            $"Receiver puts the quality on channel {number.Value}",
            setup,
            Showing(setup, number) with
            {
                Air = setup.Air with { Receiver = setup.Air.Receiver with { QualityOn = number.Value } },
            }
        );

    /// <summary>Lets the transmitter send a sensor's reading of 0 to 100 back up on a channel, and the board read it there.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="number">A channel that nothing feeds, 5 or more.</param>
    /// <param name="sensor">The id of the sensor.</param>
    public static SetupEdit ByTransmitter(Setup setup, ChannelNumber number, string sensor)
    {
        // Scale 200 %, shift -100: 0 to 100 becomes the full travel; common practice, no source.
        var channel = new Channel
        {
            Number = number,
            Label = setup.Model.Sensors[sensor].Label,
            Take = new SensorSource { Sensor = sensor },
            Steps = ImmutableDictionary<string, ChainStep>.Empty.Add(
                "scale",
                new ScaleStep
                {
                    Order = 10,
                    Scale = new Percent(200),
                    Shift = new Percent(-100),
                }
            ),
        };
        var shown = Showing(setup, number);
        return SetupEdit.Between(
            $"{channel.Label} sent up on channel {number.Value}",
            setup,
            shown with
            {
                Air = setup.Air with { Receiver = setup.Air.Receiver with { QualityOn = null } },
                Model = setup.Model with
                {
                    Channels = setup.Model.Channels.Add(ModelEdits.NewChannelId(setup, number), channel),
                },
            }
        );
    }

    // The board's function for it watches the channel; it is added where there is none.
    private static Setup Showing(Setup setup, ChannelNumber number)
    {
        var present = setup.Board.Functions.FirstOrDefault(f => f.Value.Kind == FunctionKind.SignalQuality);
        var shows =
            present.Value
            ?? new BoardFunction
            {
                Kind = FunctionKind.SignalQuality,
                Label = "Signal quality",
                Control = "",
                Aux = 1,
                Low = Bands.Lowest,
                High = Bands.Highest,
            };
        var id = present.Key ?? FreeId.Of("quality", setup.Board.Functions.ContainsKey);
        return setup with
        {
            Board = setup.Board with
            {
                Functions = setup.Board.Functions.SetItem(id, shows with { Aux = number.Aux!.Value }),
            },
        };
    }
}
