using System.Globalization;
using System.Text;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Recordings whose heads are right and whose bodies are not: each is read or refused with a reason.</summary>
public sealed class UploadFuzzTests(TestServer server) : IClassFixture<TestServer>
{
    private const int Lines = 400;
    private static readonly int Tries = Environment.GetEnvironmentVariable("DEEP") == "1" ? 10_000 : 200;

    private static readonly string[] Pieces = (
        "#-5|#0|#99999999999999999999|$end|$var wire 1 ! a $end|$timescale 1 fs $end|$timescale 0 s $end"
        + "|$scope module a $end|0!|x!|zz|b0101 !|r1.5 !|1e400,1|-1,0|NaN,1|\"|\"a\"\"b\",1|,,,,,,,|0;1|0\t1"
        + "|\u0000|\uFEFF|é|1,5;1"
    ).Split('|');

    private static readonly Action<List<string>, int, string, Random>[] Harms =
    [
        (lines, at, piece, _) => lines.Insert(at, piece),
        (lines, at, piece, _) => lines[at] = piece,
        (lines, at, piece, _) => lines[at] += piece,
        (lines, at, _, random) => lines.RemoveRange(at, Math.Min(random.Next(50), lines.Count - 1 - at)),
        (lines, at, _, _) => (lines[at], lines[0]) = (lines[0], lines[at]),
        (lines, at, piece, random) => lines[at] = string.Concat(Enumerable.Repeat(piece, random.Next(1, 3000))),
        (lines, at, _, _) => lines.AddRange(lines.Skip(at).Take(100).ToArray()),
    ];

    [Fact]
    public async Task No_recording_is_a_fault_of_the_server()
    {
        var cancel = TestContext.Current.CancellationToken;
        using var client = server.CreateClient();
        var vcd = await client.GetStringAsync(new Uri("/api/setups/wren/recording", UriKind.Relative), cancel);
        string[] sound = [Head(vcd), Table(vcd, ','), Table(vcd, ';'), Table(vcd, '\t')];
        var (read, refused) = (0, 0);
        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            using var body = new ByteArrayContent(Damaged(sound[seed % sound.Length], random));
            body.Headers.ContentType = new("application/octet-stream");
            var answer = await client.PostAsync(new Uri("/api/setups/wren/captures", UriKind.Relative), body, cancel);
            Assert.True((int)answer.StatusCode is 200 or 400, $"seed {seed}: {answer.StatusCode}");
            if (answer.IsSuccessStatusCode)
            {
                read++;
                continue;
            }

            refused++;
            Assert.NotEmpty((string)(await JsonAsync(answer))["detail"]!);
        }

        Assert.True(read > Tries / 20 && refused > Tries / 20, $"{read} read, {refused} refused");
    }

    // A damaged recording need not be long.
    private static string Head(string text) => string.Join('\n', text.Split('\n').Take(Lines));

    // The same levels as a table.
    private static string Table(string vcd, char separator)
    {
        var table = new StringBuilder($"Time [ns]{separator}Signal\n");
        var time = "0";
        foreach (var line in vcd.Split('\n').SkipWhile(l => !l.StartsWith('#')).Take(Lines))
            if (line.StartsWith('#'))
                time = line[1..].Trim();
            else if (line.Length > 1 && line[0] is '0' or '1')
                table.Append(CultureInfo.InvariantCulture, $"{time}{separator}{line[0]}\n");
        return table.ToString();
    }

    private static byte[] Damaged(string text, Random random)
    {
        var lines = text.Split('\n').ToList();
        for (var i = random.Next(1, 6); i > 0; i--)
        {
            var at = random.Next(lines.Count);
            var piece = Pieces[random.Next(Pieces.Length)];
            Harms[random.Next(Harms.Length)](lines, at, piece, random);
        }

        var damaged = string.Join(random.Next(5) == 0 ? "\r\n" : "\n", lines);
        var bytes = random.Next(8) switch
        {
            0 => Encoding.Unicode.GetPreamble().Concat(Encoding.Unicode.GetBytes(damaged)).ToArray(),
            1 => Encoding.BigEndianUnicode.GetPreamble().Concat(Encoding.Unicode.GetBytes(damaged)).ToArray(),
            _ => Encoding.UTF8.GetBytes(damaged),
        };
        for (var i = random.Next(4) == 0 ? random.Next(1, 20) : 0; i > 0; i--)
            bytes[random.Next(bytes.Length)] ^= (byte)(1 << random.Next(8));
        return random.Next(6) == 0 ? bytes[..random.Next(1, bytes.Length)] : bytes;
    }
}
