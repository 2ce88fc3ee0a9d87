using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>Reads the bytes of a serial line out of a recording, as a UART does: from the start bit on, in the middle of each bit.</summary>
internal static class SerialReader
{
    /// <summary>Reads all bytes.</summary>
    /// <param name="capture">The recording.</param>
    /// <param name="framing">Parity, stop bits and polarity.</param>
    /// <param name="bit">The time of a bit as measured, in nanoseconds.</param>
    public static List<SerialByte> Read(LineCapture capture, SerialFraming framing, double bit)
    {
        var bytes = new List<SerialByte>();
        var changes = capture.Changes;
        var idle = !framing.Inverted;
        var next = 0;
        while (next < changes.Length)
        {
            // A start bit begins where the line leaves its idle level.
            if (capture.LevelBefore(next) != idle)
            {
                next++;
                continue;
            }

            var start = changes[next];
            var at = next + 1;
            bool Level(double bits)
            {
                var time = start + (bits * bit);
                while (at < capture.Changes.Length && capture.Changes[at] <= time)
                    at++;
                return capture.LevelBefore(at);
            }

            if (Level(0.5) == idle)
            {
                // Shorter than half a bit: noise, no start bit.
                next = Math.Max(at, next + 1);
                continue;
            }

            var value = 0;
            for (var i = 0; i < SerialFraming.DataBits; i++)
                if (Level(1.5 + i) == idle)
                    value |= 1 << i;
            var good = true;
            var position = 1.5 + SerialFraming.DataBits;
            if (framing.Parity != Parity.None)
            {
                var ones = int.PopCount(value) + (Level(position++) == idle ? 1 : 0);
                good = ones % 2 == (framing.Parity == Parity.Odd ? 1 : 0);
            }

            for (var i = 0; i < framing.StopBits; i++)
                good &= Level(position++) == idle;
            bytes.Add(new SerialByte(start, (byte)value, good));
            next = at;
        }

        return bytes;
    }
}
