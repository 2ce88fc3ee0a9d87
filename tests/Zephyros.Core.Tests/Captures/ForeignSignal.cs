using System.Text;
using Zephyros.Core.Captures;

namespace Zephyros.Core.Tests.Captures;

/// <summary>Makes recordings without any of the project's codecs: frames as strings of bits, the line as a list of stretches. Layouts are
/// written down a second time, from memory like the first.</summary>
internal sealed class ForeignSignal
{
    private readonly List<(double From, double To)> active = [];
    private readonly List<(double From, double To)> turned = [];
    private double end;

    /// <summary>The level between frames.</summary>
    public bool IdlesHigh { get; init; }

    /// <summary>So much later than it should an edge away from idle comes, in microseconds; edges back come in time.</summary>
    public double LateBy { get; init; }

    /// <summary>The line is looked at so often, in microseconds; 0 for as often as one likes.</summary>
    public double Sample { get; init; }

    public static byte[] Packed16(int[] counts, byte flags = 0, byte last = 0)
    {
        // Sixteen times eleven bits, the least significant first, one after the other.
        var bits = string.Concat(
            counts.Select(c => string.Concat(Enumerable.Range(0, 11).Select(i => (c / (1 << i) % 2))))
        );
        var packed = Enumerable
            .Range(0, 22)
            .Select(b => (byte)Enumerable.Range(0, 8).Sum(i => (bits[(8 * b) + i] - '0') << i));
        return [0x0F, .. packed, flags, last];
    }

    public static byte[] Word14(int[] pulses)
    {
        byte[] body = [0x20, 0x40, .. pulses.SelectMany(p => new[] { (byte)(p % 256), (byte)(p / 256) })];
        var sum = 65535 - body.Sum(b => b);
        return [.. body, (byte)(sum % 256), (byte)(sum / 256)];
    }

    public static byte[] Burst7(int[] counts, int part, byte fades = 0) =>
        [
            fades,
            0,
            .. Enumerable
                .Range(0, 7)
                .Select(w => (7 * part) + w)
                .Select(c => c < counts.Length ? (c * 2048) + counts[c] + (part > 0 && c == 7 ? 32768 : 0) : 65535)
                .SelectMany(w => new[] { (byte)(w / 256), (byte)(w % 256) }),
        ];

    public static byte[] Duplex(int[] counts)
    {
        byte[] body = [0x16, .. Packed16(counts)[1..23]];
        return [0xC8, (byte)(body.Length + 1), .. body, Remainder(body)];
    }

    // Division of polynomials, bit by bit on paper: x^8 + x^7 + x^6 + x^4 + x^2 + 1.
    private static byte Remainder(byte[] body)
    {
        var bits = new StringBuilder(
            string.Concat(body.Select(b => Convert.ToString(b, 2).PadLeft(8, '0'))) + "00000000"
        );
        const string Divisor = "111010101";
        for (var i = 0; i + 8 < bits.Length; i++)
            if (bits[i] == '1')
                for (var j = 0; j < Divisor.Length; j++)
                    bits[i + j] = bits[i + j] == Divisor[j] ? '0' : '1';
        return Convert.ToByte(bits.ToString()[^8..], 2);
    }

    /// <summary>Puts bytes on the line.</summary>
    public void Bytes(double at, byte[] bytes, double bit, char parity = 'N', int stops = 1)
    {
        foreach (var value in bytes)
        {
            var data = Convert.ToString(value, 2).PadLeft(8, '0').Reverse().ToArray();
            var ones = data.Count(d => d == '1');
            var check =
                parity == 'N' ? ""
                : (ones % 2 == 0) == (parity == 'E') ? "0"
                : "1";
            var row = $"0{new string(data)}{check}{new string('1', stops)}";
            for (var i = 0; i < row.Length; i++)
                if (row[i] == '0')
                    Active(at + (i * bit), at + ((i + 1) * bit));
            at += row.Length * bit;
        }
    }

    /// <summary>Takes the line away from idle for a while, times in microseconds.</summary>
    public void Active(double from, double to)
    {
        if (active.Count > 0 && Math.Abs(active[^1].To - from) < 1e-6)
            active[^1] = (active[^1].From, to);
        else
            active.Add((from, to));
        end = Math.Max(end, to);
    }

    /// <summary>A spike: for so long the line is the other way round.</summary>
    public void Spike(double at, double length) => turned.Add((at, at + length));

    /// <summary>The recording, which ends some time after the last frame.</summary>
    public LineCapture Record(double after = 5_000)
    {
        var until = end + after;
        bool Level(double at) =>
            IdlesHigh ^ Within(active, at - LateBy, at) ^ turned.Any(s => s.From <= at && at < s.To);
        var changes = new List<long>();
        var level = Level(-1);
        var edges = active
            .SelectMany(a => new[] { a.From + LateBy, a.To })
            .Concat(turned.SelectMany(s => new[] { s.From, s.To }))
            .Order();
        foreach (var at in edges)
            if (Level(at) != level)
            {
                level = !level;
                // An analyser sees an edge at its next look; of two between two looks it sees none.
                var seen = (long)Math.Round(1000 * (Sample > 0 ? Math.Ceiling(at / Sample) * Sample : at));
                if (Sample > 0 && changes.Count > 0 && changes[^1] == seen)
                    changes.RemoveAt(changes.Count - 1);
                else
                    changes.Add(seen);
            }

        return new LineCapture("foreign", Level(-1), [.. changes], (long)(until * 1000));
    }

    // Stretches stand in the order of time; the search must not look at all of them for every sample.
    private static bool Within(List<(double From, double To)> stretches, double fromBefore, double toAfter)
    {
        var (low, high) = (0, stretches.Count);
        while (low < high)
        {
            var middle = (low + high) / 2;
            if (stretches[middle].From <= fromBefore + 1e-9)
                low = middle + 1;
            else
                high = middle;
        }

        return low > 0 && toAfter < stretches[low - 1].To - 1e-9;
    }
}
