using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Draws bytes as the level of a serial line.</summary>
public static class SerialWave
{
    /// <summary>Draws a row of bytes, one directly after the other.</summary>
    /// <param name="bytes">The bytes.</param>
    /// <param name="framing">How they stand on the line.</param>
    /// <param name="start">When the first start bit begins, in nanoseconds.</param>
    /// <param name="edges">Takes the edges; the line is idle before and after.</param>
    public static void Draw(ReadOnlySpan<byte> bytes, SerialFraming framing, long start, ICollection<Edge> edges)
    {
        var bit = 1e9 / framing.Baud;
        var idle = !framing.Inverted;
        var level = idle;
        var position = 0;
        void Put(bool one)
        {
            var now = one == idle;
            if (now != level)
                edges.Add(new Edge(start + (long)Math.Round(position * bit), level = now));
            position++;
        }

        foreach (var value in bytes)
        {
            Put(false);
            for (var i = 0; i < SerialFraming.DataBits; i++)
                Put((value >> i & 1) != 0);
            if (framing.Parity != Parity.None)
                Put(int.PopCount(value) % 2 != (framing.Parity == Parity.Odd ? 1 : 0));
            for (var i = 0; i < framing.StopBits; i++)
                Put(true);
        }

        // The last stop bit has brought the line to rest already.
    }

    /// <summary>A recording out of edges.</summary>
    /// <param name="name">The name of the wire.</param>
    /// <param name="idle">The level before the first edge.</param>
    /// <param name="edges">The edges in their order.</param>
    /// <param name="end">When the recording ends, in nanoseconds.</param>
    public static LineCapture Record(string name, bool idle, IEnumerable<Edge> edges, long end) =>
        new(name, idle, [.. edges.Select(e => e.At)], end);
}
