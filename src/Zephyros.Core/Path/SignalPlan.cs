using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Packed16;

namespace Zephyros.Core.Path;

/// <summary>The way from hands to board, compiled once from a setup. Evaluation allocates nothing.</summary>
public sealed class SignalPlan
{
    private readonly CountRounding rounding;
    private readonly int carried;

    private SignalPlan(Setup setup)
    {
        Setup = setup;
        Model = ModelPlan.Compile(setup.Transmitter, setup.Model);
        Wire = setup.Wire.Format.Describe();
        rounding = setup.Wire.Rounding;
        carried = CarriedChannels(setup);
    }

    /// <summary>The setup that was compiled.</summary>
    public Setup Setup { get; }

    /// <summary>The compiled model.</summary>
    public ModelPlan Model { get; }

    /// <summary>The facts of the wire format.</summary>
    public WireDescriptor Wire { get; }

    /// <summary>Compiles a valid setup.</summary>
    public static SignalPlan Compile(Setup setup) => new(setup);

    /// <summary>How many channels get from the transmitter to the board: the least of what transmitter, link and wire format carry.</summary>
    public static int CarriedChannels(Setup setup) =>
        Math.Min(Math.Min(setup.Transmitter.Channels, setup.Air.Channels), setup.Wire.Format.Describe().Channels);

    /// <summary>Room for the values of this plan, with every control at its start position.</summary>
    public SignalValues CreateValues() => new(Model.StartValues(), Model.SlotCount, Model.ChannelCount, Wire.Channels);

    /// <summary>Computes everything behind the hands. A channel that is not carried arrives at its centre.</summary>
    public void Evaluate(SignalValues values)
    {
        Model.Evaluate(values.Hands, values.Slots, values.Sent);
        for (var i = 0; i < values.Counts.Length; i++)
        {
            var pulse = i < carried ? values.Sent[i] : Microseconds.Neutral;
            values.Counts[i] = Packed16Format.ToCount(pulse, rounding);
            values.Received[i] = Packed16Format.ToMicroseconds(values.Counts[i]);
        }
    }

    /// <summary>The channels that take a control, by number.</summary>
    public IEnumerable<PlannedChannel> ChannelsOf(string controlId) =>
        Model.Channels.Where(c => c.SourceControl == controlId);

    /// <summary>The channel of a number, or null when nothing feeds it.</summary>
    public PlannedChannel? ChannelAt(ChannelNumber number) =>
        Model.Channels.FirstOrDefault(c => c.Channel.Number == number);

    /// <summary>What arrives on every channel when one control is put somewhere and the others rest at their start.</summary>
    /// <param name="controlId">The control.</param>
    /// <param name="setting">Where it is put; see <see cref="Control.Read"/>.</param>
    /// <exception cref="ArgumentException">There is no such control, or it cannot be put there.</exception>
    public SignalValues With(string controlId, double setting)
    {
        var values = CreateValues();
        var index = Model.IndexOf(controlId);
        if (index < 0 || Model.Controls[index].Value.Read(setting) is not { } value)
            throw new ArgumentException(
                $"There is no control \"{controlId}\" that can be put at {setting}.",
                nameof(controlId)
            );
        values.Hands[index] = value;
        Evaluate(values);
        return values;
    }
}
