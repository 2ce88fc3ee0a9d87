using Zephyros.Core.Air;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Bench;

/// <summary>The simulated receiver: packets come in by radio, frames go out on its wire.</summary>
/// <remarks>Frames go through the real encoder and decoder. Without radio it does what the setup says of it.</remarks>
internal sealed class BenchReceiver
{
    private SignalPlan plan;
    private RadioWay way;
    private WireLine line;
    private int[] output;
    private int[] arrived;
    private Microseconds[] heard;
    private bool fresh;
    private bool sent;

    public BenchReceiver(SignalPlan plan)
    {
        this.plan = plan;
        way = new RadioWay(plan.Setup.Air);
        (line, output, arrived) = Connect();
        heard = new Microseconds[plan.Setup.Transmitter.Channels];
    }

    private BenchReceiver(BenchReceiver other)
    {
        (plan, way, line) = (other.plan, other.way.Copy(), other.line.Copy());
        (output, arrived, heard) = ([.. other.output], [.. other.arrived], [.. other.heard]);
        (fresh, sent, Linked) = (other.fresh, other.sent, other.Linked);
    }

    /// <summary>Another receiver that stands as this one does.</summary>
    public BenchReceiver Copy() => new(this);

    /// <summary>True when it has had a frame by radio since it got power.</summary>
    public bool Linked { get; private set; }

    /// <summary>The way of the packets to it.</summary>
    public RadioWay Way => way;

    /// <summary>The counts that the board decoded last.</summary>
    public ReadOnlySpan<int> Arrived => arrived;

    /// <summary>What the transmitter sent in the last packet that arrived; null before the first one since it got power.</summary>
    public IReadOnlyList<Microseconds>? Heard => Linked ? heard : null;

    /// <summary>The counts of the last frame that it sent; null before the first one since it got power.</summary>
    public IReadOnlyList<int>? Sent => sent ? output : null;

    /// <summary>Takes another revision of the setup.</summary>
    /// <returns>True when the wire is another one; the board starts anew then, and the receiver with it.</returns>
    public bool Replace(SignalPlan next, TimeSpan now)
    {
        var before = plan.Setup;
        plan = next;
        Array.Resize(ref heard, next.Setup.Transmitter.Channels);
        if (!SetupJson.Same(before.Air, next.Setup.Air))
            SetDistance(way.At?.Distance, now);
        if (before.Wire == next.Setup.Wire)
            return false;
        (line, output, arrived) = Connect();
        return true;
    }

    /// <summary>Takes the craft to a distance, or back to the bench.</summary>
    public void SetDistance(Kilometres? distance, TimeSpan now) =>
        way = distance is { } far ? new RadioWay(plan.Setup.Air, far, now, seed: 1) : new RadioWay(plan.Setup.Air);

    /// <summary>It has lost its power, or just got it.</summary>
    public void Restart() => Linked = sent = false;

    /// <summary>True when it sends frames while it has power.</summary>
    /// <param name="sending">True while the transmitter sends and nothing blocks the link: packets may come, or do.</param>
    public bool Sends(bool sending) =>
        sending
        || plan.Setup.Air.OnLoss == ReceiverLoss.Preset
        || (plan.Setup.Air.OnLoss == ReceiverLoss.Hold && Linked);

    /// <summary>Takes in the packets since the last frame.</summary>
    /// <returns>True when the link is another than before.</returns>
    public bool TakePackets(TimeSpan now)
    {
        var before = (way.Up, way.Quality);
        fresh = way.Advance(now);
        return before != (way.Up, way.Quality);
    }

    /// <summary>Puts a frame on the wire.</summary>
    /// <param name="values">What the transmitter sends.</param>
    /// <param name="sending">True while it does, and nothing blocks the link.</param>
    /// <returns>True when a good frame has got to the board; see <see cref="Arrived"/>.</returns>
    public bool SendFrame(SignalValues values, bool sending)
    {
        var radio = sending && way.Up;
        if (!Sends(radio))
            return false;
        if (!radio)
            Substitute();
        else if (fresh || !Linked)
        {
            values.Counts.CopyTo(output, 0);
            values.Sent.CopyTo(heard, 0);
        }

        Linked |= radio;
        sent = true;
        return line.Carry(output, arrived);
    }

    // A line with nothing on it yet.
    private (WireLine Line, int[] Output, int[] Arrived) Connect()
    {
        var carried = plan.Setup.Wire.Format.ChannelsIn(plan.Setup.Wire.FramePeriod);
        int[] neutral = [.. Enumerable.Repeat(Count(Microseconds.Neutral), plan.Wire.Channels)];
        return (plan.Setup.Wire.Format.Codec().CreateLine(carried), [.. neutral], neutral);
    }

    // Presets replace what was last sent; before the first frame by radio all other channels stand at their centre.
    private void Substitute()
    {
        if (!Linked)
            Array.Fill(output, Count(Microseconds.Neutral));
        if (plan.QualityPlace is >= 0 and var place)
            output[place] = Count(plan.QualityPulse(QualityChannels.Residue));
        if (plan.Setup.Air.OnLoss != ReceiverLoss.Preset)
            return;
        foreach (var (channel, preset) in plan.Setup.Air.Presets)
            if (channel.Value <= output.Length)
                output[channel.Value - 1] = Count(preset);
    }

    private int Count(Microseconds pulse) => plan.Wire.ToCount(pulse, plan.Setup.Wire.Rounding);
}
