using System.Collections.Immutable;
using System.Globalization;
using Zephyros.Core.Air;
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

    /// <summary>Writes down that the board has the function "receiver" on one port and on no other.</summary>
    public static SetupEdit ReceiverSetOnly(Setup setup, string? port) =>
        SetupEdit.Between(
            port is null ? "No port is the receiver's" : $"{setup.Board.Ports[port].Label} alone is the receiver's",
            setup,
            setup with
            {
                Board = setup.Board with
                {
                    Ports = setup.Board.Ports.ToImmutableDictionary(
                        p => p.Key,
                        p => p.Value with { ReceiverSet = p.Key == port },
                        StringComparer.Ordinal
                    ),
                },
            }
        );

    /// <summary>Writes down what is set on the receiver itself.</summary>
    public static SetupEdit ReceiverSpeaks(Setup setup, WireFormat format) =>
        SetupEdit.Between(
            $"Receiver set to {format.Describe().Name}",
            setup,
            setup with
            {
                Wire = setup.Wire with { ReceiverSpeaks = format },
            }
        );

    /// <summary>Switches one radio module on and all others off.</summary>
    public static SetupEdit ModuleOn(Setup setup, string module) =>
        InAir(
            setup,
            $"{setup.Air.Modules[module].Label} alone is on",
            air =>
                air with
                {
                    Modules = air.Modules.ToImmutableDictionary(
                        m => m.Key,
                        m => m.Value with { On = m.Key == module },
                        StringComparer.Ordinal
                    ),
                }
        );

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

    /// <summary>Lets the receiver put the signal quality into a channel, and the board read it there.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="number">The channel, 5 or more.</param>
    public static SetupEdit QualityByReceiver(Setup setup, ChannelNumber number) =>
        SetupEdit.Between(
            $"Receiver puts the quality on channel {number.Value}",
            setup,
            ShowingQuality(setup, number) with
            {
                Air = setup.Air with { Receiver = setup.Air.Receiver with { QualityOn = number.Value } },
            }
        );

    /// <summary>Lets the transmitter send a sensor's reading of 0 to 100 back up on a channel, and the board read it there.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="number">A channel that nothing feeds, 5 or more.</param>
    /// <param name="sensor">The id of the sensor.</param>
    public static SetupEdit QualityByTransmitter(Setup setup, ChannelNumber number, string sensor)
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
        var shown = ShowingQuality(setup, number);
        return SetupEdit.Between(
            $"{channel.Label} sent up on channel {number.Value}",
            setup,
            shown with
            {
                Air = setup.Air with { Receiver = setup.Air.Receiver with { QualityOn = null } },
                Model = setup.Model with { Channels = setup.Model.Channels.Add(NewChannelId(setup, number), channel) },
            }
        );
    }

    // The board's function for it watches the channel; it is added where there is none.
    private static Setup ShowingQuality(Setup setup, ChannelNumber number)
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

    /// <summary>Changes the link.</summary>
    public static SetupEdit InAir(Setup setup, string title, Func<LinkSettings, LinkSettings> change) =>
        SetupEdit.Between(title, setup, setup with { Air = change(setup.Air) });

    /// <summary>Sets a link up from a mode of a radio system. What the pilot has written down of modules, receiver and region stays.</summary>
    public static SetupEdit UseProfile(Setup setup, LinkProfile profile, LinkMode mode) =>
        InAir(
            setup,
            $"{profile.Name}: {mode.Name}",
            air =>
                air with
                {
                    Profile = profile.Id,
                    Frequency = profile.FrequencyIn(air.Region),
                    Channels = mode.Channels,
                    PacketRate = mode.PacketRate,
                    Sensitivity = mode.Sensitivity,
                    ChannelSteps = mode.ChannelSteps,
                    ReservesArmChannel = mode.ReservesArmChannel,
                    Telemetry = mode.TelemetryEvery is not null,
                    TelemetryEvery = mode.TelemetryEvery,
                    OnLoss =
                        profile.OnLoss.IsEmpty || profile.OnLoss.Contains(air.OnLoss) ? air.OnLoss : profile.OnLoss[0],
                    Presets = Fitting(air.Presets, mode.Channels),
                    Receiver =
                        air.Receiver.QualityOn > mode.Channels ? air.Receiver with { QualityOn = null } : air.Receiver,
                }
        );

    // Presets of channels that the link no longer has would be refused.
    private static ImmutableDictionary<string, Microseconds> Fitting(
        ImmutableDictionary<string, Microseconds> presets,
        int channels
    ) =>
        presets
            .Where(p => int.Parse(p.Key, CultureInfo.InvariantCulture) <= channels)
            .ToImmutableDictionary(StringComparer.Ordinal);

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
        // A function of another kind may be called "arm".
        var id = FreeId.Of("arm", setup.Board.Functions.ContainsKey);
        var board = setup.Board with { Functions = setup.Board.Functions.Add(id, arm) };
        var title = $"{setup.Transmitter.Controls[controlId].Name} arms on AUX {aux}";
        return SetupEdit.Between(title, setup, fed with { Board = board });
    }

    private static Setup Fed(Setup setup, ChannelNumber number, string controlId)
    {
        var control = setup.Transmitter.Controls[controlId];
        var present = setup.Model.Channels.FirstOrDefault(c => c.Value.Number == number);
        var id = present.Key ?? NewChannelId(setup, number);
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

    // Channels keep their ids when they are renumbered, so the natural one may be another channel's.
    private static string NewChannelId(Setup setup, ChannelNumber number) =>
        FreeId.Of($"channel-{number.Value}", setup.Model.Channels.ContainsKey);

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
