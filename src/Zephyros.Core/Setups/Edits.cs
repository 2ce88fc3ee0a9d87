using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Setups;

/// <summary>The edits that the rules of the job know how to make. Each is a pure function of the setup.</summary>
public static class Edits
{
    /// <summary>Makes the transmitter send the sticks in another order.</summary>
    /// <returns>The edit, or null when channels 1 to 4 do not take the four sticks.</returns>
    public static SetupEdit? SendOrder(Setup setup, StickOrder order) =>
        ChannelOrder.Reorder(setup.Model, setup.Transmitter, order) is { } model
            ? SetupEdit.Between($"Send {order.Spelled()}", setup, setup with { Model = model })
            : null;

    /// <summary>Makes the board read the sticks in another order.</summary>
    public static SetupEdit ReadOrder(Setup setup, StickOrder map) =>
        SetupEdit.Between($"Board reads {map.Spelled()}", setup, setup with { Board = setup.Board with { Map = map } });

    /// <summary>Switches a promise on or off, or keeps it broken for a reason.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="code">The promise's code.</param>
    /// <param name="title">The promise in a few words, for the history.</param>
    /// <param name="setting">What is decided; null takes every decision back.</param>
    public static SetupEdit DecidePromise(Setup setup, string code, string title, PromiseSetting? setting) =>
        SetupEdit.Between(
            setting switch
            {
                null => $"Promise as usual: {title}",
                { On: false } => $"Promise off: {title}",
                _ => $"Promise kept broken: {title}",
            },
            setup,
            setup with
            {
                Promises = setting is null ? setup.Promises.Remove(code) : setup.Promises.SetItem(code, setting),
            }
        );

    /// <summary>Puts the receiver on another port.</summary>
    public static SetupEdit ReceiverOn(Setup setup, string port) =>
        SetupEdit.Between(
            $"Receiver on {setup.Board.Ports[port].Label}",
            setup,
            setup with
            {
                Board = setup.Board with { ReceiverPort = port },
            }
        );

    /// <summary>Makes receiver and board speak another wire format.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="format">The format.</param>
    /// <param name="period">The time from frame to frame; null for the format's usual one.</param>
    public static SetupEdit SpeakFormat(Setup setup, WireFormat format, Milliseconds? period = null)
    {
        var wire = format.Describe();
        var every = new Milliseconds(Math.Clamp(Math.Round((period ?? wire.UsualPeriods[0]).Value, 1), 2, 50));
        return SetupEdit.Between(
            $"{wire.Name} on the wire",
            setup,
            setup with
            {
                Wire = setup.Wire with { Format = format, FramePeriod = every },
            }
        );
    }

    /// <summary>Makes a board function watch another AUX channel.</summary>
    public static SetupEdit WatchAux(Setup setup, string functionId, int aux) =>
        WithFunction(setup, functionId, $"Watch AUX {aux}", f => f with { Aux = aux });

    /// <summary>Gives a board function another band.</summary>
    public static SetupEdit MoveBand(Setup setup, string functionId, Microseconds low, Microseconds high) =>
        WithFunction(setup, functionId, $"Band {low.Value:0} to {high}", f => f with { Low = low, High = high });

    /// <summary>Moves the limit below which the board takes the throttle for low.</summary>
    public static SetupEdit LimitThrottleLow(Setup setup, Microseconds limit) =>
        SetupEdit.Between(
            $"Throttle is low below {limit}",
            setup,
            setup with
            {
                Board = setup.Board with { ThrottleLow = limit },
            }
        );

    /// <summary>Makes a channel take a control.</summary>
    /// <remarks>The channel is added with an id of its own when the model does not feed that number yet.</remarks>
    public static SetupEdit Feed(Setup setup, ChannelNumber number, string controlId) =>
        SetupEdit.Between(
            $"Channel {number.Value} takes {setup.Transmitter.Controls[controlId].Name}",
            setup,
            Fed(setup, number, controlId)
        );

    /// <summary>Gives the board an arm function and feeds its channel from a switch, which arms in its far position.</summary>
    public static SetupEdit ArmWith(Setup setup, string controlId, int aux, Microseconds low, Microseconds high)
    {
        var fed = Fed(setup, ChannelNumber.FromAux(aux), controlId);
        var arm = new BoardFunction
        {
            Kind = FunctionKind.Arm,
            Label = "Arm",
            Control = controlId,
            Aux = aux,
            Low = low,
            High = high,
        };
        // An id that nothing else has: a function of another kind may be called "arm".
        var id = setup.Board.Functions.ContainsKey("arm") ? "arm-switch" : "arm";
        var board = setup.Board with { Functions = setup.Board.Functions.SetItem(id, arm) };
        var title = $"{setup.Transmitter.Controls[controlId].Name} arms on AUX {aux}";
        return SetupEdit.Between(title, setup, fed with { Board = board });
    }

    private static Setup Fed(Setup setup, ChannelNumber number, string controlId)
    {
        var control = setup.Transmitter.Controls[controlId];
        var present = setup.Model.Channels.FirstOrDefault(c => c.Value.Number == number);
        var id = present.Key ?? $"channel-{number.Value}";
        var channel =
            present.Value
            ?? new Channel
            {
                Number = number,
                Label = control.Name,
                Take = new ControlSource { Control = controlId },
            };
        channel = channel with { Take = new ControlSource { Control = controlId } };
        var model = setup.Model with { Channels = setup.Model.Channels.SetItem(id, channel) };
        return setup with { Model = model };
    }

    /// <summary>Changes the model.</summary>
    public static SetupEdit InModel(Setup setup, string title, Func<TransmitterModel, TransmitterModel> change) =>
        SetupEdit.Between(title, setup, setup with { Model = change(setup.Model) });

    /// <summary>Changes one control of the transmitter.</summary>
    public static SetupEdit InControl(Setup setup, string title, string controlId, Func<Control, Control> change)
    {
        var controls = setup.Transmitter.Controls;
        var changed = controls.SetItem(controlId, change(controls[controlId]));
        return SetupEdit.Between(
            title,
            setup,
            setup with
            {
                Transmitter = setup.Transmitter with { Controls = changed },
            }
        );
    }

    /// <summary>Gives a channel another output stage.</summary>
    public static SetupEdit Leave(Setup setup, string title, string channelId, OutputStage output) =>
        InModel(
            setup,
            title,
            m => m with { Channels = m.Channels.SetItem(channelId, m.Channels[channelId] with { Output = output }) }
        );

    /// <summary>Keeps a finding on purpose, with the reason; an empty note takes the justification back.</summary>
    public static SetupEdit Justify(Setup setup, string findingKey, string note)
    {
        var justified =
            note.Length > 0
                ? setup.Justified.SetItem(findingKey, new Justification { Note = note })
                : setup.Justified.Remove(findingKey);
        return SetupEdit.Between(
            note.Length > 0 ? "Keep a finding on purpose" : "Take a justification back",
            setup,
            setup with
            {
                Justified = justified,
            }
        );
    }

    private static SetupEdit WithFunction(
        Setup setup,
        string functionId,
        string title,
        Func<BoardFunction, BoardFunction> change
    )
    {
        var functions = setup.Board.Functions.SetItem(functionId, change(setup.Board.Functions[functionId]));
        return SetupEdit.Between(title, setup, setup with { Board = setup.Board with { Functions = functions } });
    }
}
