using System.Text;
using Zephyros.Core.Captures;

namespace Zephyros.Core.Tests.Captures;

/// <summary>Tables of levels as spreadsheets and analysers write them: read rightly, or refused with the reason, never read wrongly.</summary>
public sealed class LevelTableTests
{
    private static readonly long[] Changes = [1_500_000, 2_250_000];

    // Quoted cells as in RFC 4180, section 2, rules 5 to 7.
    [Theory]
    [InlineData("0,0\n0.0015,1\n0.00225,0\n0.003,0")]
    [InlineData("\"0\",\"0\"\r\n\"0.0015\",\"1\"\r\n\"0.00225\",\"0\"\r\n")]
    [InlineData("Time [us],line\n0,0\n1500,1\n2250,0")]
    [InlineData("line,\"Time, in us\"\n0,0\n1,1500\n0,2250")]
    [InlineData("\"the \"\"signal\"\" wire\",Time (ms)\n0,0\n1,1.5\n0,2.25")]
    [InlineData("t_ns;level\n0;0\n1500000;1\n2250000;0")]
    [InlineData("Zeit;Time [ms];line\n0;0;0\n0;1,5;1\n0;2,25;0", 1)]
    [InlineData("Time [µs];line\n0;0\n1,5e3;1\n2,25e3;0")]
    [InlineData("time\tlevel\n0\t0\n0.0015\t1\n0.00225\t0")]
    [InlineData("\"0,0\",\"0\"\n\"0,0015\",1\n\"0,00225\",0")]
    [InlineData(
        "; written by an analyser, with commas; and semicolons\n# and a remark\nms,line\n0,0\n1.5,1\n\n2.25,0\n"
    )]
    public void A_table_is_read_whatever_its_columns_and_marks(string text, int wire = 0)
    {
        foreach (
            var bytes in new[]
            {
                Encoding.UTF8.GetBytes(text),
                [.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(text)],
                [.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes(text)],
                [.. Encoding.BigEndianUnicode.Preamble, .. Encoding.BigEndianUnicode.GetBytes(text)],
            }
        )
        {
            var reading = LevelTableReader.Read(new MemoryStream(bytes), TestContext.Current.CancellationToken);
            Assert.Null(reading.Problem);
            Assert.Equal(Changes, reading.Lines[0].Changes.ToArray());
            Assert.Equal(wire + 1, reading.Lines.Count);
        }
    }

    [Theory]
    [InlineData("time,line\n0,0\n1,0.7\n", 3, "A level is 0 or 1, not \"0.7\".")]
    [InlineData("time,one,two\n0,0,1\n1,1\n", 3, "This line has 2 columns, the first had 3.")]
    [InlineData("time,line\n0,0\n\"1,000\",1\n\"1,000,000\",0\n", 4, "\"1,000,000\" is no time.")]
    [InlineData("time,line\n0,high\n", 2, "A level is 0 or 1, not \"high\".")]
    [InlineData("line only\n0\n", 1, "A line needs a time and a level")]
    public void What_cannot_be_read_is_refused_with_its_line(string text, int line, string reason)
    {
        var problem = LevelTableReader
            .Read(new MemoryStream(Encoding.UTF8.GetBytes(text)), TestContext.Current.CancellationToken)
            .Problem!;
        Assert.Equal(line, problem.Line);
        Assert.StartsWith(reason, problem.Reason, StringComparison.Ordinal);
    }

    // Three wires in one file: two that speak, of which the slower one moves less, and one that only twitches.
    [Fact]
    public void All_wires_of_a_file_are_recognised_and_what_speaks_comes_first()
    {
        var (packed, pulses) = (new ForeignSignal(), new ForeignSignal());
        for (var i = 0; i < 30; i++)
        {
            packed.Bytes((i + 1) * 7_000, ForeignSignal.Packed16([.. Enumerable.Repeat(992 + i, 16)]), 10, 'E', 2);
            pulses.Active((i + 1) * 20_000, ((i + 1) * 20_000) + 1_500);
        }

        var random = new Random(4);
        var twitches = Enumerable.Range(0, 9_000).Select(i => (At: (i * 60_000L) + random.Next(40_000), Wire: 2));
        var edges = new[] { packed.Record(), pulses.Record() }
            .SelectMany((capture, wire) => capture.Changes.ToArray().Select(at => (At: at, Wire: wire)))
            .Concat(twitches)
            .OrderBy(e => e.At)
            .ToArray();
        var levels = new int[3];
        var text = new StringBuilder("Time [ns],packed,pulses,loose\n0,0,0,0\n");
        foreach (var (at, wire) in edges)
        {
            levels[wire] ^= 1;
            text.Append(at).Append(',').AppendJoin(',', levels).Append('\n');
        }

        var reading = CaptureFile.Read(
            new MemoryStream(Encoding.ASCII.GetBytes(text.ToString())),
            TestContext.Current.CancellationToken
        );
        Assert.Equal(["packed", "pulses", "loose"], reading.Lines.Select(l => l.Capture!.Name));
        Assert.Equal("Packed 16", reading.Lines[0].Verdict.Title);
        Assert.Equal(30, reading.Lines[1].Verdict.Frames.Count);
        Assert.Null(reading.Lines[2].Verdict.Format);
    }

    [Fact]
    public void Reading_ends_when_it_is_no_longer_wanted()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        var rows = string.Concat(Enumerable.Range(0, 9_000).Select(i => $"{i},{i % 2}\n"));
        foreach (
            var text in new[] { rows, "$timescale 1 us $end $var wire 1 a x $end $enddefinitions $end #0 0a #1 1a" }
        )
            Assert.Throws<OperationCanceledException>(() =>
                CaptureFile.Read(new MemoryStream(Encoding.ASCII.GetBytes(text)), gone.Token)
            );
    }

    // Bytes that are no recording: a film, or anything else.
    [Fact]
    public void A_large_file_of_anything_is_looked_at_in_its_first_megabytes()
    {
        var film = new byte[CaptureLimits.DumpBytes + 1000];
        new Random(1).NextBytes(film);
        var line = Assert.Single(CaptureFile.Read(new MemoryStream(film), TestContext.Current.CancellationToken).Lines);
        Assert.Null(line.Verdict.Format);
        Assert.Equal(CaptureLimits.DumpBytes, line.Verdict.Bytes.Count);
    }
}
