namespace Zephyros.Core.Model.Running;

/// <summary>An output stage made ready: two slopes that meet at the centre, the ends, and what may force the channel.</summary>
internal readonly struct OutputTable
{
    private readonly double below;
    private readonly double above;
    private readonly double centre;
    private readonly double low;
    private readonly double high;
    private readonly (int Register, double Value)[] forced;

    public OutputTable(PlannedChannel planned, IEnumerable<(int Register, double Value)> overrides, bool pastEnds)
    {
        var channel = planned.Channel;
        (SentIndex, Slot) = (channel.Number.Value - 1, planned.OutputSlot);
        (low, centre, high) = (channel.Output.Low.Value, channel.Output.Centre.Value, channel.Output.High.Value);
        (below, above) = ((centre - low) / 100, (high - centre) / 100);
        // Turned round, a negative value runs up from the centre to the high end.
        if (channel.Output.Reverse)
            (below, above) = (-above, -below);
        forced = [.. overrides];
        for (var i = 0; i < forced.Length && !pastEnds; i++)
            forced[i].Value = Held(forced[i].Value);
    }

    public int SentIndex { get; }

    /// <summary>The slot of the value that leaves; the chain's last value lies before it, what is sent after it.</summary>
    public int Slot { get; }

    /// <summary>What may force the channel, the winning one first.</summary>
    public IReadOnlyList<(int Register, double Value)> Forces => forced;

    /// <summary>What leaves the stage for a value that has come through the steps, in percent, held within the ends.</summary>
    public double Sent(double value) => Held(centre + (value * (value < 0 ? below : above)));

    /// <summary>The override that holds, or -1.</summary>
    public int Holding(double[] registers)
    {
        for (var i = 0; i < forced.Length; i++)
            if (registers[forced[i].Register] != 0)
                return i;
        return -1;
    }

    public double Forced(int index) => forced[index].Value;

    // Low lies below high in every valid setup; Math.Clamp would check that each time.
    private double Held(double value)
    {
        if (value < low)
            return low;
        return value > high ? high : value;
    }
}
