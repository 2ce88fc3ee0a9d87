using Zephyros.Core.Model.Running;
using Zephyros.Core.Units;

namespace Zephyros.Core.Path;

/// <summary>The values along the path at one moment. Made by <see cref="SignalPlan.CreateValues"/>, filled by
/// <see cref="SignalPlan.Evaluate"/>, and used again and again.</summary>
public sealed class SignalValues
{
    internal SignalValues(ModelPlan model, int received, ModelMemory memory)
    {
        Hands = model.StartValues();
        Readings = model.BenchReadings();
        Memory = memory;
        Slots = new Percent[model.SlotCount];
        Sent = new Microseconds[model.ChannelCount];
        Counts = new int[received];
        Received = new Microseconds[received];
    }

    /// <summary>The value of each control, in the order of the model plan's controls. The caller moves them.</summary>
    public Percent[] Hands { get; }

    /// <summary>The reading of each telemetry sensor, in the order of the model plan's sensors. The caller changes them.</summary>
    public Reading[] Readings { get; }

    /// <summary>True while no telemetry arrives. The caller changes it.</summary>
    public bool TelemetryLost { get; set; }

    /// <summary>The signal quality that the receiver puts into a channel where it is told to, 0 to 100 %. The caller changes it.</summary>
    public Percent Quality { get; set; } = new(100);

    /// <summary>What the model remembers: latches, delays, slow steps.</summary>
    public ModelMemory Memory { get; }

    /// <summary>The value after every step of every channel.</summary>
    public Percent[] Slots { get; }

    /// <summary>What the transmitter sends on each of its channels.</summary>
    public Microseconds[] Sent { get; }

    /// <summary>The count of each channel of the wire format.</summary>
    public int[] Counts { get; }

    /// <summary>What each of these counts stands for: what the board receives while frames arrive.</summary>
    public Microseconds[] Received { get; }

    /// <summary>Becomes the same as other values of the same plan.</summary>
    internal void Become(SignalValues other)
    {
        other.Hands.CopyTo(Hands, 0);
        other.Readings.CopyTo(Readings, 0);
        (TelemetryLost, Quality) = (other.TelemetryLost, other.Quality);
        Memory.Become(other.Memory);
        other.Slots.CopyTo(Slots, 0);
        other.Sent.CopyTo(Sent, 0);
        other.Counts.CopyTo(Counts, 0);
        other.Received.CopyTo(Received, 0);
    }
}
