using System.Collections.Immutable;
using Zephyros.Core.Air;
using Zephyros.Core.Bench;
using Zephyros.Core.Captures;
using Zephyros.Core.Captures.Losses;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Work;

namespace Zephyros.Core.Tests.Captures;

/// <summary>What a receiver does on a loss, read from recordings: of simulated receivers of every kind, and made by hand.</summary>
public sealed class RecordedLossTests
{
    // Every format, every behaviour, random delays and presets, through the whole recogniser.
    [Fact]
    public void Every_kind_of_receiver_is_recognised_with_its_own_delay()
    {
        var random = new Random(77);
        var seen = new HashSet<(WireFormat, ReceiverLoss)>();
        foreach (var format in WireFormats.All)
        foreach (var behaviour in Enum.GetValues<ReceiverLoss>())
            for (var i = 0; i < Iterations.Of(1); i++)
            {
                var delay = random.Next(11, 120) * 10;
                var setup = With(format, behaviour, delay, random);
                var capture = ReceiverRecording.Of(setup, RecordingFault.TransmitterOff);
                var loss = LossReader.Of(Recognised.As(capture), capture.End);
                var told = $"{format} {behaviour} after {delay} ms: {loss}";
                Assert.True(loss is not null, told);
                var plan = new LossBesidePlan(setup, format, loss);
                Assert.True(behaviour == plan.OnLoss, told);
                if (behaviour == ReceiverLoss.Hold)
                    Assert.True(loss.Delay is null, told);
                else
                    // It gives up with a frame, and what moved was fresh no longer ago than it says.
                    Assert.InRange(
                        loss.Delay!.Value.Value,
                        delay - setup.Wire.FramePeriod.Value - 1,
                        delay + loss.Within.Value + setup.Wire.FramePeriod.Value + 1
                    );
                Assert.True(plan.Fits, $"{told}: {string.Join(" ", plan.Words)}");
                // A setup that says something else takes it over, and then says the same.
                var other = setup.WithAir(a =>
                    a with
                    {
                        OnLoss = (ReceiverLoss)(((int)behaviour + 1) % 3),
                        GivesUpAfter = null,
                        Presets = ImmutableDictionary<ChannelNumber, Microseconds>.Empty,
                    }
                );
                var edit = new LossBesidePlan(other, format, loss).Edit;
                var after = edit!.ApplyTo(other).Setup!;
                Assert.Equal(behaviour, after.Air.OnLoss);
                Assert.True(new LossBesidePlan(after, format, loss).Fits, told);
                // Of separate pulses one wire is recorded, and nobody knows whose.
                var known = behaviour != ReceiverLoss.Preset || format != WireFormat.SeparatePulses;
                Assert.Equal(known ? true : null, RecordedTry.Of(plan, loss)?.AsExpected);
                // Nor where nothing moved before: how long after the last packet it came is not told then.
                var still = loss with
                {
                    LastFresh = null,
                };
                if (behaviour != ReceiverLoss.Hold)
                    Assert.Null(RecordedTry.Of(new(setup, format, still), still));
                if (behaviour == ReceiverLoss.Preset && known)
                {
                    foreach (var (channel, value) in loss.Presets)
                        Assert.InRange(
                            after.Air.Presets[channel].ApartFrom(setup.Air.Presets[channel]).Value,
                            0,
                            format.Describe().Step.Value
                        );
                    Contradicts(setup, format, loss);
                }

                seen.Add((format, behaviour));
            }

        Assert.Equal(WireFormats.All.Count * 3, seen.Count);
    }

    // A channel that stays where it was, while the setup has it go to a preset elsewhere, does not fit.
    private static void Contradicts(Setup setup, WireFormat format, RecordedLoss loss)
    {
        foreach (var (channel, count) in loss.Kept.Where(c => c.Key.Value <= setup.Air.Channels))
        {
            var stayed = format.Describe().ToMicroseconds(count);
            var elsewhere = new Microseconds(stayed.Value + (stayed.Value < 1500 ? 100 : -100));
            var other = setup.WithAir(a => a with { Presets = a.Presets.SetItem(channel, elsewhere) });
            var plan = new LossBesidePlan(other, format, loss);
            Assert.False(plan.Fits);
            Assert.False(RecordedTry.Of(plan, loss)!.AsExpected);
            Assert.Contains(plan.Words, w => w.Contains($"Channel {channel.Value} stayed", StringComparison.Ordinal));
            var after = plan.Edit!.ApplyTo(other).Setup!;
            Assert.DoesNotContain(channel, after.Air.Presets.Keys);
            Assert.True(new LossBesidePlan(after, format, loss).Fits);
        }
    }

    [Fact]
    public void A_recording_without_a_loss_has_none()
    {
        foreach (var format in WireFormats.All)
        {
            var capture = ReceiverRecording.OfMeasuring(With(format, ReceiverLoss.Silent, 300, new Random(1)));
            var loss = LossReader.Of(Recognised.As(capture), capture.End);
            // A stick that rests looks like one that is held; nothing else may be seen.
            Assert.True(loss is null or { Manner: LossManner.Held, Flagged: false }, $"{format}: {loss}");
        }
    }

    // By hand: pulses of 1 to 2 ms each 20 ms, the wire of one servo output; a stick goes up and down until the last packet.
    [Theory]
    [InlineData(LossManner.Silent)]
    [InlineData(LossManner.Held)]
    [InlineData(LossManner.Presets)]
    public void Pulses_drawn_by_hand(LossManner manner)
    {
        var edges = new List<(double At, bool High)>();
        // Packets each 20 ms until 1.5 s; the receiver goes on for 0.5 s, and fresh values come again at 4 s.
        for (var frame = 0; frame < 300; frame++)
        {
            var at = frame * 20.0;
            var moving = 1.5 + (0.3 * Math.Sin(frame / 7.0));
            var last = 1.5 + (0.3 * Math.Sin(75 / 7.0));
            var width =
                at is <= 1500 or >= 4000 ? moving
                : at < 2000 || manner == LossManner.Held ? last
                : manner == LossManner.Presets ? 0.95
                : 0;
            if (width > 0)
                edges.AddRange([(at + 1, true), (at + 1 + width, false)]);
        }

        var csv = string.Concat(
            edges.Select(e =>
                string.Create(
                    System.Globalization.CultureInfo.InvariantCulture,
                    $"{e.At / 1000:0.00000000},{(e.High ? 1 : 0)}\n"
                )
            )
        );
        using var file = new MemoryStream(
            // In the end the craft is unplugged, which is no silence of its receiver.
            System.Text.Encoding.ASCII.GetBytes("time,signal\n0,0\n" + csv + "9.5,0\n")
        );
        var line = CaptureFile.Read(file, TestContext.Current.CancellationToken).Lines[0];
        var loss = LossReader.Of(line.Verdict, line.Capture!.End)!;
        Assert.Equal(manner, loss.Manner);
        Assert.InRange(loss.LastFresh!.Value.Value, 1480, 1502);
        if (manner == LossManner.Held)
            Assert.Null(loss.Delay);
        else
            Assert.InRange(loss.Delay!.Value.Value, 495, 525);
        if (manner == LossManner.Presets)
            Assert.InRange(
                WireFormat.SeparatePulses.Describe().ToMicroseconds(Assert.Single(loss.Presets).Value).Value,
                949,
                951
            );
    }

    // Nearly an hour of a stick that goes round, held once for five seconds: a long recording is gone through once.
    [Fact]
    public void A_long_recording_is_read()
    {
        var frames = Enumerable
            .Range(0, 500_000)
            .Select(i => new FoundFrame(
                i * 7_000_000L,
                FrameKind.Channels,
                [
                    .. Enumerable.Repeat(
                        992 + (int)(300 * Math.Sin((i is < 400_000 or > 400_700 ? i : 400_000) / 9.0)),
                        16
                    ),
                ]
            ));
        var verdict = Recognised.As(ReceiverRecording.Of(Demo.Plain)) with { Interval = new(7), Frames = [.. frames] };
        var loss = LossReader.Of(verdict, 500_000 * 7_000_000L)!;
        Assert.Equal(LossManner.Held, loss.Manner);
        Assert.InRange(loss.LastFresh!.Value.Value, 2_799_900, 2_800_010);
    }

    // Packed 16 by its published layout: the byte before the last has the flags, 4 a missed packet, 8 a lost signal.
    [Fact]
    public void Frames_that_say_so_are_believed()
    {
        var setup = With(WireFormat.Packed16, ReceiverLoss.Hold, 400, new Random(2));
        var verdict = Recognised.As(ReceiverRecording.Of(setup, RecordingFault.TransmitterOff));
        var from = verdict.Frames.ToList().FindIndex(f => f.Says == LossKind.FrameLost);
        var flagged = verdict with
        {
            Frames =
            [
                .. verdict.Frames.Select(
                    (f, i) =>
                        i < from + 20 || f.Counts != verdict.Frames[from + 20].Counts && Moved(verdict, i, from + 20)
                            ? f
                            : f with
                            {
                                Kind = FrameKind.Stale,
                                Says = LossKind.SignalLoss,
                            }
                ),
            ],
        };
        var loss = LossReader.Of(flagged, (long)7e9)!;
        Assert.True(loss.Flagged);
        Assert.Equal(LossManner.Held, loss.Manner);
        Assert.Equal(21 * setup.Wire.FramePeriod.Value, loss.Delay!.Value.Value, 1);
        Assert.Equal(ReceiverLoss.Silent, new LossBesidePlan(setup, WireFormat.Packed16, loss).OnLoss);
    }

    private static bool Moved(CaptureVerdict verdict, int place, int than) =>
        !verdict.Frames[place].Counts.SequenceEqual(verdict.Frames[than].Counts);

    private static Setup With(WireFormat format, ReceiverLoss behaviour, int delay, Random random)
    {
        var presets = Enumerable
            .Range(1, 8)
            .ToImmutableDictionary(c => new ChannelNumber(c), _ => new Microseconds(random.Next(1000, 2000)));
        var plain = Demo.Plain with
        {
            Wire = Demo.Plain.Wire with { Format = format, FramePeriod = format.Describe().UsualPeriods[0] },
        };
        return plain.WithAir(a =>
            a with
            {
                OnLoss = behaviour,
                GivesUpAfter = new(delay),
                Presets =
                    behaviour == ReceiverLoss.Preset ? presets : ImmutableDictionary<ChannelNumber, Microseconds>.Empty,
            }
        );
    }
}
