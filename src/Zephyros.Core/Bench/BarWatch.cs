using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>Looks at the four bars of the board as a pilot does who sweeps the sticks: lowest, highest, now.</summary>
internal sealed class BarWatch
{
    private readonly Dictionary<StickAxis, BarTravel> bars = [];

    /// <summary>The bars by axis; none before the first frame.</summary>
    public IReadOnlyDictionary<string, BarTravel> Bars =>
        bars.ToDictionary(b => b.Key.Word(), b => b.Value, StringComparer.Ordinal);

    /// <summary>Forgets how far the bars went.</summary>
    public void Restart()
    {
        foreach (var axis in bars.Keys.ToArray())
            bars[axis] = bars[axis] with { Low = bars[axis].Now, High = bars[axis].Now };
    }

    /// <summary>Reads the values of a good frame.</summary>
    public void See(FlightBoard board, ReadOnlySpan<Microseconds> received)
    {
        foreach (var axis in StickAxes.All)
        {
            var channel = board.Map.ChannelOf(axis);
            var now = board.Scaled(axis, received[channel.Value - 1]);
            if (!bars.TryGetValue(axis, out var bar))
                bars[axis] = new BarTravel(channel, now, now, now);
            else if (bar.Now != now || bar.Channel != channel)
                bars[axis] = new BarTravel(
                    channel,
                    now,
                    new(Math.Min(bar.Low.Value, now.Value)),
                    new(Math.Max(bar.High.Value, now.Value))
                );
        }
    }
}
