using Zephyros.Core.Bench;
using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>The model of a transmitter while a flight runs through it: worked out when something comes in that makes a difference, and when
/// something in it ends by itself.</summary>
/// <remarks>A transmitter works its model out every so often while something goes on by itself (<see cref="BenchTransmitter.ModelPeriod"/>);
/// of these times only the one at which it ends makes a difference.</remarks>
internal sealed class ReplayModel
{
    private readonly ModelPlan plan;
    private readonly Percent[] hands;
    private readonly Reading[] readings;
    private readonly Percent[] slots;
    private readonly Microseconds[] sent;
    private TimeSpan last;

    /// <summary>A transmitter that was just switched on, whose controls stand somewhere.</summary>
    public ReplayModel(ModelPlan plan, IReadOnlyDictionary<string, double> settings)
    {
        this.plan = plan;
        hands = plan.StartValues();
        foreach (var (control, setting) in settings)
            if (plan.IndexOf(control) is >= 0 and var index && plan.Controls[index].Value.Read(setting) is { } value)
                hands[index] = value;
        readings = plan.BenchReadings();
        slots = new Percent[plan.SlotCount];
        sent = new Microseconds[plan.ChannelCount];
        Memory = plan.PowerOn();
    }

    /// <summary>What it remembers.</summary>
    public ModelMemory Memory { get; }

    /// <summary>True while it misses telemetry.</summary>
    public bool TelemetryLost { get; set; }

    /// <summary>When something in it ends by itself; <see cref="TimeSpan.MaxValue"/> when nothing does.</summary>
    public TimeSpan Next =>
        Memory.Restless
            ? last
                + (
                    BenchTransmitter.ModelPeriod
                    * Math.Max(1, Math.Ceiling(Memory.Ends / BenchTransmitter.ModelPeriod.TotalMilliseconds))
                )
            : TimeSpan.MaxValue;

    /// <summary>Works the model out at a time.</summary>
    public void Run(TimeSpan now)
    {
        var elapsed = Memory.Restless ? now - last : TimeSpan.Zero;
        last = now;
        plan.Evaluate(new ModelInputs(hands, readings, TelemetryLost), elapsed, Memory, slots, sent);
    }

    /// <summary>Brings it to a time before something comes in: what goes on by itself has done so with what was there before.</summary>
    /// <returns>True when the model was worked out.</returns>
    public bool Reach(TimeSpan now)
    {
        // A delay that ends later counts on all the same.
        if (!Memory.Restless || last >= now || Memory.Ends > (now - last).TotalMilliseconds)
            return false;
        Run(now);
        return true;
    }

    /// <summary>Takes a reading in, without working the model out.</summary>
    public void Take(int sensor, double reading) => readings[sensor] = new Reading(reading);

    /// <summary>Puts a control somewhere, without working the model out.</summary>
    public void Put(int control, Percent value) => hands[control] = value;

    /// <summary>True when a condition held when the model was worked out last.</summary>
    public bool Holds(string condition) => plan.Holds(Memory, condition);
}
