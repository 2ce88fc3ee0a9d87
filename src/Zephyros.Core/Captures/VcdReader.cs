using System.Globalization;

namespace Zephyros.Core.Captures;

/// <summary>Reads a value change dump (IEEE Std 1364, clause 18, edition from memory), as logic analysers write it.</summary>
/// <remarks>Wires of one bit are read. Unknown and floating levels count as low.</remarks>
public static class VcdReader
{
    private static readonly string[] Units = ["s", "ms", "us", "ns", "ps", "fs"];

    /// <summary>Reads a dump.</summary>
    /// <param name="stream">The file.</param>
    /// <param name="cancel">Ends the work early.</param>
    public static CaptureReading Read(Stream stream, CancellationToken cancel)
    {
        var lines = new TextLines(stream, cancel);
        var reading = new Dump(lines);
        var failed = reading.Run();
        if (lines.Problem is { } text)
            return CaptureReading.Failed(lines.Number, text);
        return failed ?? reading.Result();
    }

    private sealed class Dump(TextLines lines)
    {
        private readonly Dictionary<string, LineBuilder> wires = new(StringComparer.Ordinal);
        private double nanoseconds = 1;
        private long start = -1;
        private long now;
        private int changes;
        private bool inBody;
        private string[] words = [];
        private int word;

        public CaptureReading? Run()
        {
            // What stands before the first keyword is none of the dump's.
            var begun = false;
            while (NextWord() is { } token)
            {
                begun |= token[0] == '$';
                if (!begun)
                    continue;
                var failed = token[0] == '$' ? Keyword(token) : Value(token);
                if (failed is not null)
                    return failed;
            }

            return null;
        }

        public CaptureReading Result()
        {
            if (wires.Count == 0)
                return CaptureReading.Failed(0, "The file declares no wire ($var) of one bit.");
            if (start < 0)
                return CaptureReading.Failed(0, "The file holds no time (#) after its definitions.");
            return CaptureReading.Of(wires.Values.Select(w => w.Build(start, now)));
        }

        private CaptureReading? Keyword(string token)
        {
            switch (token)
            {
                case "$timescale":
                    return Timescale(Until());
                case "$var":
                    return Declare(Until());
                case "$enddefinitions":
                    Until();
                    inBody = true;
                    return null;
                // The values between these and their $end are values like others.
                case "$dumpvars" or "$dumpall" or "$dumpon" or "$dumpoff" or "$end":
                    return null;
                default:
                    Until();
                    return null;
            }
        }

        private CaptureReading? Timescale(List<string> said)
        {
            var text = string.Concat(said);
            var unit = Array.Find(
                Units,
                u => text.EndsWith(u, StringComparison.Ordinal) && IsNumber(text[..^u.Length])
            );
            if (unit is null)
                return Fail($"The time scale must be a number and a unit such as \"1 ns\", not \"{Shown(text)}\".");
            var factor = double.Parse(text[..^unit.Length], CultureInfo.InvariantCulture);
            nanoseconds = factor * Math.Pow(10, 9 - (3 * Array.IndexOf(Units, unit)));
            return factor > 0 ? null : Fail("The time scale must be more than 0.");
        }

        private CaptureReading? Declare(List<string> said)
        {
            if (said.Count < 4)
                return Fail("A declaration needs a type, a size, a code and a name: $var wire 1 ! line $end.");
            if (said[1] != "1")
                return null;
            if (wires.Count >= CaptureLimits.Wires)
                return Fail($"A recording may have {CaptureLimits.Wires} wires.");
            wires[said[2]] = new LineBuilder(Shown(said[3]));
            return null;
        }

        private CaptureReading? Value(string token)
        {
            if (!inBody)
                return Fail($"\"{Shown(token)}\" stands before $enddefinitions.");
            switch (token[0])
            {
                case '#':
                    return Time(token[1..]);
                case '0' or '1' or 'x' or 'X' or 'z' or 'Z':
                    var code = token.Length > 1 ? token[1..] : NextWord() ?? "";
                    if (start < 0)
                        start = now;
                    if (wires.TryGetValue(code, out var wire) && wire.Put(now, token[0] == '1'))
                        changes++;
                    return changes > CaptureLimits.Changes ? Fail(CaptureLimits.TooManyChanges) : null;
                // A value of several bits or a real number, and the code of what it belongs to.
                case 'b' or 'B' or 'r' or 'R':
                    NextWord();
                    return null;
                default:
                    return Fail($"\"{Shown(token)}\" is neither a time (#) nor a value.");
            }
        }

        private CaptureReading? Time(string text)
        {
            if (!ulong.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var ticks))
                return Fail($"\"#{Shown(text)}\" is no time.");
            var next = ticks * nanoseconds;
            if (next > CaptureLimits.LatestTime)
                return Fail("A recording may last a day.");
            if (next < now)
                return Fail($"Time goes back, from {now} ns to {next.ToString("0", CultureInfo.InvariantCulture)} ns.");
            now = (long)Math.Round(next);
            if (start < 0)
                start = now;
            return null;
        }

        private List<string> Until()
        {
            var said = new List<string>();
            while (NextWord() is { } next && next != "$end")
                if (said.Count < 8)
                    said.Add(next);
            return said;
        }

        private string? NextWord()
        {
            while (word >= words.Length)
            {
                if (lines.Next() is not { } line)
                    return null;
                words = line.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);
                word = 0;
            }

            return words[word++];
        }

        private CaptureReading Fail(string reason) => CaptureReading.Failed(lines.Number, reason);

        private static bool IsNumber(string text) =>
            double.TryParse(text, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out _);

        private static string Shown(string text) => text.Length <= 40 ? text : text[..40] + "…";
    }
}
