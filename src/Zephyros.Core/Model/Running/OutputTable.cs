namespace Zephyros.Core.Model.Running;

/// <summary>An output stage made ready: two slopes that meet at the centre, the ends, and what may force the channel.</summary>
internal sealed class OutputTable
{
    private readonly double below;
    private readonly double above;
    private readonly double centre;
    private readonly double low;
    private readonly double high;
    private readonly (int Register, double Value)[] forced;

    public OutputTable(Channel channel, int planned, IEnumerable<(int Register, double Value)> overrides, bool pastEnds)
    {
        SentIndex = channel.Number.Value - 1;
        Planned = planned;
        (low, centre, high) = (channel.Output.Low.Value, channel.Output.Centre.Value, channel.Output.High.Value);
        (below, above) = ((centre - low) / 100, (high - centre) / 100);
        // Turned round, a negative value runs up from the centre to the high end.
        if (channel.Output.Reverse)
            (below, above) = (-above, -below);
        forced = [.. overrides.Select(o => (o.Register, pastEnds ? o.Value : Held(o.Value)))];
    }

    public int SentIndex { get; }

    /// <summary>The place of the channel among the planned ones.</summary>
    public int Planned { get; }

    public double Leave(double value) => Held(centre + (value * (value < 0 ? below : above)));

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
