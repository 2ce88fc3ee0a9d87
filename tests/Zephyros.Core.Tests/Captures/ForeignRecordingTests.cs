using Zephyros.Core.Captures;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Captures;

/// <summary>Recordings that the project's own codecs have no part in: what is lost, odd, slow, late or disturbed in them is told.</summary>
public sealed class ForeignRecordingTests
{
    // In microseconds.
    private const double Packed16Bit = 10;
    private const double Period = 7_000;
    private static readonly int[] Middle = [.. Enumerable.Repeat(992, 16)];

    [Fact]
    public void What_frames_say_of_a_loss_is_counted_and_placed_and_never_fits()
    {
        var signal = new ForeignSignal();
        for (var i = 0; i < 200; i++)
            signal.Bytes(
                (i + 1) * Period,
                ForeignSignal.Packed16(
                    Middle,
                    i is >= 50 and < 60 ? (byte)4
                        : i is >= 60 and < 100 ? (byte)12
                        : (byte)0
                ),
                Packed16Bit,
                'E',
                2
            );
        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.Packed16, 200), (verdict.Format, verdict.Frames.Count));
        Assert.Equal((10, 40, 0), (verdict.Loss.FramesLost, verdict.Loss.FramesInLoss, verdict.Loss.FramesMissing));
        Assert.Equal(
            [(LossKind.FrameLost, 357.0, 70.0), (LossKind.SignalLoss, 427.0, 280.0)],
            verdict.Loss.Stretches.Select(s => (s.Kind, s.From.Value, s.Length.Value))
        );
        var wire = new RecordedWire(Demo.Plain, verdict);
        Assert.False(wire.Fits);
        // Fresh values come with the fiftieth frame, and then with the hundred and first.
        Assert.Equal((350, 357), (verdict.Loss.LongestGap!.From.Value, verdict.Loss.LongestGap.Length.Value));
        Assert.StartsWith(
            "The receiver had lost the signal: 40 frames say so",
            wire.Losses[1],
            StringComparison.Ordinal
        );
        Assert.StartsWith("10 frames repeat older values", wire.Losses[2], StringComparison.Ordinal);
    }

    // A board that gets only repeated values takes that for a loss, and then the recording does not fit either.
    [Theory]
    [InlineData(15, true)]
    [InlineData(25, false)]
    public void What_only_repeats_for_as_long_as_the_board_waits_does_not_fit(int repeated, bool fits)
    {
        var signal = new ForeignSignal();
        for (var i = 0; i < 100; i++)
            signal.Bytes(
                (i + 1) * Period,
                ForeignSignal.Packed16(Middle, i >= 40 && i < 40 + repeated ? (byte)4 : (byte)0),
                Packed16Bit,
                'E',
                2
            );
        var verdict = Recognised.As(signal.Record());
        Assert.Equal(0, verdict.Loss.FramesInLoss);
        Assert.Equal(fits, new RecordedWire(Demo.Plain, verdict).Fits);
    }

    // A Burst 7 receiver counts the packets that it has missed; the count goes on from 255 with 0.
    [Fact]
    public void A_count_of_missed_packets_that_rises_is_a_loss()
    {
        var signal = new ForeignSignal { IdlesHigh = true };
        int[] counts = [.. Enumerable.Repeat(1024, 12)];
        byte[] fades = [254, 254, 254, 255, 255, 0, 0, 0, 0, 0];
        for (var i = 0; i < fades.Length; i++)
            signal.Bytes((i + 1) * 11_000, ForeignSignal.Burst7(counts, i % 2, fades[i]), 1e6 / 115_200);
        var verdict = Recognised.As(signal.Record());
        Assert.Equal(WireFormat.Burst7, verdict.Format);
        Assert.Equal(2, verdict.Loss.FramesLost);
        Assert.Equal([4, 6], verdict.Loss.Stretches.Select(s => (int)Math.Round(s.From.Value / 11)));
    }

    [Fact]
    public void Frames_that_do_not_come_are_counted_and_the_longest_gap_is_always_said()
    {
        var signal = new ForeignSignal();
        foreach (var i in Enumerable.Range(1, 120).Where(i => i is not (30 or 31 or 32) and not 70))
            signal.Bytes(i * Period, ForeignSignal.Packed16(Middle), Packed16Bit, 'E', 2);
        var verdict = Recognised.As(signal.Record());
        Assert.Equal(4, verdict.Loss.FramesMissing);
        Assert.Equal([(210.0, 21.0), (490.0, 7.0)], verdict.Loss.Stretches.Select(s => (s.From.Value, s.Length.Value)));
        Assert.Equal((203, 28), (verdict.Loss.LongestGap!.From.Value, verdict.Loss.LongestGap.Length.Value));
        Assert.Equal(
            "The longest time from one fresh frame to the next is 28 ms, at 0.203 s.",
            new RecordedWire(Demo.Plain, verdict).Differences[^1]
        );
        // A board that waits 150 ms takes no notice of 28; one that is given 210 ms of silence at the end does.
        Assert.True(new RecordedWire(Demo.Plain, verdict).Fits);
        var ended = Recognised.As(signal.Record(after: 210_000));
        Assert.False(new RecordedWire(Demo.Plain, ended).Fits);
        Assert.EndsWith(
            "ms, at 0.84 s: the board calls 150 ms without one a loss.",
            new RecordedWire(Demo.Plain, ended).Losses[0],
            StringComparison.Ordinal
        );
        Assert.Equal(840, ended.Loss.LongestGap!.From.Value, 0.01);
    }

    [Fact]
    public void The_first_frame_after_a_pause_counts_and_two_name_the_format()
    {
        var signal = new ForeignSignal { IdlesHigh = true };
        int[] pulses = [.. Enumerable.Repeat(1500, 14)];
        signal.Bytes(9_000, ForeignSignal.Word14(pulses), 1e6 / 115_200);
        pulses[3] = 1720;
        signal.Bytes(16_000, ForeignSignal.Word14(pulses), 1e6 / 115_200);
        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.Word14, 2), (verdict.Format, verdict.Frames.Count));
        Assert.Equal([1500, 1720], verdict.Frames.Select(f => f.Counts[3]));
        Assert.Contains("Told by 2 frames with good checksums.", verdict.Notes);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(700)]
    [InlineData(2300)]
    [InlineData(65535)]
    public void Good_checksums_outweigh_an_odd_channel_which_is_named(int odd)
    {
        var signal = new ForeignSignal { IdlesHigh = true };
        for (var i = 0; i < 20; i++)
        {
            int[] pulses = [.. Enumerable.Repeat(1500, 14)];
            (pulses[0], pulses[12]) = (1500 + i, odd);
            signal.Bytes((i + 1) * Period, ForeignSignal.Word14(pulses), 1e6 / 115_200);
        }

        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.Word14, 20), (verdict.Format, verdict.Frames.Count));
        Assert.Contains(verdict.Notes, n => n.StartsWith($"Channel 13 stands at {odd} µs", StringComparison.Ordinal));
    }

    // Frames of noise: header, flags and end of Packed 16 are right, and every channel jumps about.
    [Fact]
    public void What_jumps_everywhere_is_no_frame_of_a_format_without_checksum()
    {
        var random = new Random(5);
        var signal = new ForeignSignal();
        for (var i = 0; i < 40; i++)
            signal.Bytes(
                (i + 1) * Period,
                ForeignSignal.Packed16([.. Enumerable.Range(0, 16).Select(_ => random.Next(2048))]),
                Packed16Bit,
                'E',
                2
            );
        Assert.Null(Recognised.As(signal.Record()).Format);
    }

    // At 8 µs a sample nothing fast is readable: the recording is at fault, and no speed is told.
    [Theory]
    [InlineData(8.0, 1e6 / 100_000, 'E', 2, false)]
    [InlineData(8.0, 1e6 / 115_200, 'N', 1, true)]
    [InlineData(1.0, 1e6 / 420_000, 'N', 1, true)]
    [InlineData(2.0, 1e6 / 420_000, 'N', 1, true)]
    public void A_recording_that_is_too_slow_is_called_so(double sample, double bit, char parity, int stops, bool high)
    {
        var signal = new ForeignSignal { IdlesHigh = high, Sample = sample };
        var random = new Random(3);
        for (var i = 0; i < 60; i++)
        {
            int[] counts = [.. Middle.Select(c => c + random.Next(300))];
            var frame = parity == 'E' ? ForeignSignal.Packed16(counts) : ForeignSignal.Duplex(counts);
            signal.Bytes((i + 1) * 7_003.3, frame, bit, parity, stops);
        }

        var verdict = Recognised.As(signal.Record());
        if (verdict.Format is not null)
        {
            // Read after all: then every value is right.
            Assert.Equal(60, verdict.Frames.Count + (int)verdict.DamagedFrames, 8.0);
            return;
        }

        Assert.Equal("Recorded too slowly", verdict.Title);
        Assert.Contains("Record at 2 MHz or more.", verdict.Notes[0], StringComparison.Ordinal);
        Assert.DoesNotContain(verdict.Notes, n => n.Contains("runs at", StringComparison.Ordinal));
    }

    // A plain UART decoder reads these; the stretches of level are no whole bits any more.
    [Theory]
    [InlineData(0.2)]
    [InlineData(0.3)]
    public void Edges_that_come_late_are_read(double late)
    {
        var random = new Random(2);
        int[] counts = [.. Middle.Select(c => c + random.Next(400))];
        var signal = new ForeignSignal { LateBy = late * Packed16Bit };
        for (var i = 0; i < 30; i++)
            signal.Bytes((i + 1) * Period, ForeignSignal.Packed16(counts), Packed16Bit, 'E', 2);
        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.Packed16, 30), (verdict.Format, verdict.Frames.Count));
        Assert.All(verdict.Frames, f => Assert.Equal(counts, f.Counts));
    }

    // 100 ns, 40 µs after a pulse and 40 µs before one, inside one, and in pauses.
    [Fact]
    public void Spikes_move_no_pulse_and_are_counted()
    {
        var signal = new ForeignSignal();
        for (var i = 0; i < 50; i++)
        {
            signal.Active((i + 1) * 20_000.0, ((i + 1) * 20_000.0) + 1_430);
            signal.Spike(
                ((i + 1) * 20_000.0)
                    + (i % 4) switch
                    {
                        0 => 1_470,
                        1 => -40,
                        2 => 700,
                        _ => 9_000,
                    },
                0.1
            );
        }

        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.SeparatePulses, 50, 50), (verdict.Format, verdict.Frames.Count, verdict.Spikes));
        Assert.All(verdict.Frames, f => Assert.Equal([1430], f.Counts));
        Assert.Contains("50 spikes shorter than 50 µs were passed over.", verdict.Notes);
    }

    // Longer than a spike of the line, shorter than the hole beside it: still no part of the pulse.
    [Fact]
    public void A_longer_disturbance_beside_a_pulse_is_no_part_of_it()
    {
        var signal = new ForeignSignal();
        for (var i = 0; i < 50; i++)
        {
            signal.Active((i + 1) * 20_000.0, ((i + 1) * 20_000.0) + 1_430);
            signal.Active(((i + 1) * 20_000.0) + 1_465, ((i + 1) * 20_000.0) + 1_475);
        }

        Assert.All(Recognised.As(signal.Record()).Frames, f => Assert.Equal([1430], f.Counts));
    }

    [Fact]
    public void Spikes_on_a_serial_line_are_passed_over()
    {
        var random = new Random(9);
        var signal = new ForeignSignal();
        for (var i = 0; i < 40; i++)
        {
            signal.Bytes((i + 1) * Period, ForeignSignal.Packed16(Middle), Packed16Bit, 'E', 2);
            for (var j = 0; j < 5; j++)
                signal.Spike(((i + 1) * Period) + random.Next(6_500), 0.3);
        }

        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.Packed16, 40, 0), (verdict.Format, verdict.Frames.Count, verdict.DamagedFrames));
        Assert.InRange(verdict.Spikes, 190, 200);
    }

    [Theory]
    [InlineData(50)]
    [InlineData(333)]
    [InlineData(400)]
    public void Separate_pulses_may_come_often(double hertz)
    {
        var signal = new ForeignSignal();
        for (var i = 0; i < 100; i++)
            signal.Active((i + 1) * 1e6 / hertz, ((i + 1) * 1e6 / hertz) + 1_000 + (10 * i));
        var verdict = Recognised.As(signal.Record());
        Assert.Equal((WireFormat.SeparatePulses, 100), (verdict.Format, verdict.Frames.Count));
        Assert.Equal(1000 / hertz, verdict.Interval!.Value.Value, 0.01);
        Assert.Equal(Enumerable.Range(0, 100).Select(i => 1_000 + (10 * i)), verdict.Frames.Select(f => f.Counts[0]));
    }

    // A receiver that sends telemetry into the same wire marks the slots in the last byte.
    [Fact]
    public void All_last_bytes_of_Packed_16_are_read()
    {
        byte[] lasts = [0x04, 0x14, 0x24, 0x34];
        var signal = new ForeignSignal();
        for (var i = 0; i < 40; i++)
            signal.Bytes((i + 1) * Period, ForeignSignal.Packed16(Middle, 0, lasts[i % 4]), Packed16Bit, 'E', 2);
        Assert.Equal(40, Recognised.As(signal.Record()).Frames.Count);
    }

    [Fact]
    public void A_dump_of_bytes_has_no_times_and_proposes_none()
    {
        byte[] dump = [.. Enumerable.Range(0, 30).SelectMany(_ => ForeignSignal.Duplex(Middle))];
        var verdict = Recogniser.Recognise(dump);
        Assert.Equal(WireFormat.Duplex, verdict.Format);
        Assert.Null(verdict.Interval);
        Assert.Null(verdict.Loss.LongestGap);
        var edit = new RecordedWire(Demo.Plain, verdict).Edit!;
        Assert.Equal(WireFormat.Duplex.Describe().UsualPeriods[0], edit.ApplyTo(Demo.Plain).Setup!.Wire.FramePeriod);
    }

    // Frames that come as fast as the line carries them: none shorter than a frame is ever set.
    [Fact]
    public void No_fix_sets_a_period_below_the_time_of_a_frame()
    {
        var signal = new ForeignSignal { IdlesHigh = true };
        int[] pulses = [.. Enumerable.Repeat(1500, 14)];
        for (var i = 0; i < 40; i++)
            signal.Bytes(9_000 + (i * 2_778), ForeignSignal.Word14(pulses), 1e6 / 115_200);
        var verdict = Recognised.As(signal.Record());
        var after = new RecordedWire(Demo.Plain, verdict).Edit!.ApplyTo(Demo.Plain).Setup!.Wire;
        Assert.True(after.FramePeriod >= after.Format.Describe().TimeOnWire, $"{after.FramePeriod}");
    }
}
