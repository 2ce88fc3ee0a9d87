using Zephyros.Core.Bench;
using Zephyros.Core.Captures;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Captures;

/// <summary>What is recognised in recordings of the simulated receiver in every format, whole and with each fault, and in what is hardly
/// one; and how frames are drawn.</summary>
public sealed class CapturesRecordedTests
{
    [Fact]
    public void Recordings_are_recognised_as_they_were() => Recorded.AssertSame("captures", Lines().Concat(Hardly()));

    private static IEnumerable<string> Lines()
    {
        foreach (var format in Enum.GetValues<WireFormat>())
        foreach (var fault in Enum.GetValues<RecordingFault>())
        {
            var setup = Speaking(format);
            var capture = ReceiverRecording.Of(setup, fault);
            var verdict = Recognised.As(capture);
            yield return $"# {format}, {fault}";
            foreach (var line in Told(verdict))
                yield return line;
            foreach (var frame in new[] { 0, 1, 9, verdict.Frames.Count - 1, verdict.Frames.Count })
                yield return $"  frame {frame}: {Drawn(FrameDrawing.Of(capture, verdict, frame))}";
        }
    }

    // Cut short from either end, or made slower.
    private static IEnumerable<string> Hardly()
    {
        foreach (var format in new[] { WireFormat.Packed16, WireFormat.Duplex, WireFormat.PulseTrain })
        {
            var whole = ReceiverRecording.Of(Speaking(format));
            foreach (
                var (name, from, to, by) in new[]
                {
                    ("ten", 0, 10, 1.0),
                    ("a hundred", 7, 107, 1),
                    ("three frames", 0, 600, 1),
                    ("4 % slower", 0, 3000, 1.04),
                    ("6 % faster", 0, 3000, 0.94),
                    ("twice as slow", 0, 3000, 2.0),
                }
            )
            {
                long[] part = [.. whole.Changes.ToArray().Skip(from).Take(to - from).Select(at => (long)(at * by))];
                var capture = new LineCapture("part", whole.LevelBefore(from), part, part[^1] + 20_000_000);
                yield return $"# {format}, {name} edges";
                foreach (var line in Told(Recognised.As(capture)))
                    yield return line;
            }
        }
    }

    private static Setup Speaking(WireFormat format) =>
        WireEdits.SpeakFormat(Demo.Plain, format).ApplyTo(Demo.Plain).Setup!;

    private static IEnumerable<string> Told(CaptureVerdict verdict)
    {
        yield return $"  {verdict.Format}: {verdict.Title} {string.Join(' ', verdict.Notes)}";
        yield return $"  high {verdict.IdlesHigh} flipped {verdict.IsFlipped} baud {verdict.Baud:0} {verdict.Framing} every {verdict.Interval} ms, {verdict.Frames.Count} frames, {verdict.DamagedFrames} damaged";
        yield return $"  {verdict.Channels.Count} channels";
        foreach (var track in verdict.Channels.Where(c => c.Lowest != c.Highest))
            yield return $"  {track.Channel}: {track.Lowest} {track.Rest} {track.Highest} [{string.Join(' ', track.Course.Take(60).Select(c => Figures.Plain(c.Value, 1)).Chunk(12).Select(c => c[0]))}] {track.Course.Count}";
    }

    private static string Drawn(FrameDrawing? drawing) => drawing is null ? "none" : Cut(Recorded.Told(drawing));

    private static string Cut(string text) =>
        text.Length > 600 ? $"{text[..300]} ... {text[^300..]} ({text.Length})" : text;
}
