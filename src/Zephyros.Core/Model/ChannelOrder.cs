using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>The channel order as a view of a model: which stick each of channels 1 to 4 takes.</summary>
public static class ChannelOrder
{
    /// <summary>The order in which the model sends the sticks.</summary>
    /// <returns>The order, or null when channels 1 to 4 do not take the four sticks, each once.</returns>
    public static StickOrder? Of(TransmitterModel model, Transmitter transmitter)
    {
        var axes = new List<StickAxis>();
        for (var number = 1; number <= ChannelNumber.StickChannels; number++)
        {
            if (StickOn(model, transmitter, new ChannelNumber(number)) is not { } axis || axes.Contains(axis))
                return null;
            axes.Add(axis);
        }

        return StickOrder.Of(axes);
    }

    /// <summary>The stick that a channel takes, or null when it takes none.</summary>
    public static StickAxis? StickOn(TransmitterModel model, Transmitter transmitter, ChannelNumber number)
    {
        var channel = model.Channels.Values.FirstOrDefault(c => c.Number == number);
        return
            channel?.Take is ControlSource { Control: var id }
            && transmitter.Controls.TryGetValue(id, out var control)
            && control is StickControl stick
            ? stick.Axis
            : null;
    }

    /// <summary>The same model with its four stick channels renumbered to another order. The channels keep everything else:
    /// endpoints belong to what a channel carries, not to its number.</summary>
    /// <returns>The model, or null when channels 1 to 4 do not take the four sticks, each once.</returns>
    public static TransmitterModel? Reorder(TransmitterModel model, Transmitter transmitter, StickOrder order)
    {
        if (Of(model, transmitter) is not { } present)
            return null;
        var channels = model.Channels;
        foreach (var (id, channel) in model.Channels.Where(c => c.Value.Number.Aux is null))
            channels = channels.SetItem(id, channel with { Number = order.ChannelOf(present.AxisOf(channel.Number)) });
        return model with { Channels = channels };
    }
}
