using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests;

/// <summary>A running model with hands on it: move controls, let time pass, look at values.</summary>
internal sealed class ModelRig
{
    private readonly Percent[] hands;
    private readonly Reading[] readings;
    private readonly Percent[] slots;
    private readonly Microseconds[] sent;

    public ModelRig(Transmitter transmitter, TransmitterModel model)
    {
        Plan = ModelPlan.Compile(transmitter, model);
        Memory = Plan.PowerOn();
        (hands, readings) = (Plan.StartValues(), Plan.BenchReadings());
        (slots, sent) = (new Percent[Plan.SlotCount], new Microseconds[Plan.ChannelCount]);
        Pass(0);
    }

    public ModelRig(Setup setup)
        : this(setup.Transmitter, setup.Model) { }

    public ModelPlan Plan { get; }

    public ModelMemory Memory { get; }

    public bool TelemetryLost { get; set; }

    public IReadOnlyList<double> Sent => [.. sent.Select(s => s.Value)];

    public ModelRig Put(string control, double setting, double afterMs = 0)
    {
        var index = Plan.IndexOf(control);
        hands[index] = Plan.Controls[index].Value.Read(setting)!.Value;
        return Pass(afterMs);
    }

    public ModelRig Report(string sensor, double reading)
    {
        readings[Plan.Sensors.Select(s => s.Key).ToList().IndexOf(sensor)] = new Reading(reading);
        return Pass(0);
    }

    public ModelRig Pass(double ms)
    {
        var elapsed = double.IsPositiveInfinity(ms) ? TimeSpan.MaxValue : TimeSpan.FromMilliseconds(ms);
        Plan.Evaluate(new ModelInputs(hands, readings, TelemetryLost), elapsed, Memory, slots, sent);
        return this;
    }

    public ModelRig Settle() => Pass(double.PositiveInfinity);

    public bool Holds(string condition) => Plan.Holds(Memory, condition);

    /// <summary>The value after every step of a channel, then after its output stage, then what is sent, in percent.</summary>
    public double[] Values(string channel)
    {
        var planned = Plan.Channels.Single(c => c.Id == channel);
        return [.. slots[planned.FirstSlot..(planned.LastSlot + 1)].Select(s => s.Value)];
    }

    public double Value(string channel) => Values(channel)[^1];
}
