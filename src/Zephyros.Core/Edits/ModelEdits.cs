using System.Collections.Immutable;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Edits of the model. Each is a pure function of the setup.</summary>
public static class ModelEdits
{
    /// <summary>Makes the transmitter send the sticks in another order.</summary>
    /// <returns>The edit, or null when channels 1 to 4 do not take the four sticks.</returns>
    public static SetupEdit? SendOrder(Setup setup, StickOrder order) =>
        ChannelOrder.Reorder(setup.Model, setup.Transmitter, order) is { } model
            ? SetupEdit.Between($"Send {order.Spelled()}", setup, setup with { Model = model })
            : null;

    /// <summary>Sends a channel under another AUX number, and makes every board function that watched it follow.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="channelId">The id of the channel.</param>
    /// <param name="number">A number that no other channel has, 5 or more.</param>
    public static SetupEdit MoveChannel(Setup setup, string channelId, ChannelNumber number)
    {
        var channel = setup.Model.Channels[channelId];
        var functions = setup.Board.Functions.ToImmutableDictionary(
            f => f.Key,
            f => f.Value.Channel == channel.Number ? f.Value with { Aux = number.Aux!.Value } : f.Value,
            StringComparer.Ordinal
        );
        return SetupEdit.Between(
            $"{channel.Label} on channel {number.Value}",
            setup,
            setup with
            {
                Model = setup.Model with
                {
                    Channels = setup.Model.Channels.SetItem(channelId, channel with { Number = number }),
                },
                Board = setup.Board with { Functions = functions },
            }
        );
    }

    /// <summary>Makes a channel take a control.</summary>
    /// <remarks>The channel is added with an id of its own when the model does not feed that number yet.</remarks>
    public static SetupEdit Feed(Setup setup, ChannelNumber number, string controlId) =>
        SetupEdit.Between(
            $"Channel {number.Value} takes {setup.Transmitter.Controls[controlId].Name}",
            setup,
            Fed(setup, number, controlId)
        );

    /// <summary>Gives a channel another output stage.</summary>
    public static SetupEdit SetOutput(Setup setup, string title, string channelId, OutputStage output) =>
        InModel(
            setup,
            title,
            m => m with { Channels = m.Channels.SetItem(channelId, m.Channels[channelId] with { Output = output }) }
        );

    /// <summary>Changes the model.</summary>
    public static SetupEdit InModel(Setup setup, string title, Func<TransmitterModel, TransmitterModel> change) =>
        SetupEdit.Between(title, setup, setup with { Model = change(setup.Model) });

    internal static Setup Fed(Setup setup, ChannelNumber number, string controlId)
    {
        var control = setup.Transmitter.Controls[controlId];
        var present = setup.Model.Channels.FirstOrDefault(c => c.Value.Number == number);
        var id = present.Key ?? NewChannelId(setup, number);
        var take = new ControlSource { Control = controlId };
        var channel = present.Value is { } there
            ? there with
            {
                Take = take,
            }
            : new Channel
            {
                Number = number,
                Label = control.Name,
                Take = take,
            };
        var model = setup.Model with { Channels = setup.Model.Channels.SetItem(id, channel) };
        return setup with { Model = model };
    }

    // Channels keep their ids when they are renumbered, so the natural one may be another channel's.
    internal static string NewChannelId(Setup setup, ChannelNumber number) =>
        FreeId.Of($"channel-{number.Value}", setup.Model.Channels.ContainsKey);
}
