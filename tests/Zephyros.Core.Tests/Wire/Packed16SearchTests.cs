using CsCheck;
using Zephyros.Core.Wire.Packed16;

namespace Zephyros.Core.Tests.Wire;

public sealed class Packed16SearchTests
{
    private static readonly Gen<Packed16Frame> Frames = Gen.Select(
        Gen.Int[0, 2047].Array[16],
        Gen.Int[0, 15],
        (counts, flags) =>
        {
            var frame = new Packed16Frame { Flags = (Packed16Flags)flags };
            for (var i = 0; i < 16; i++)
                frame[i] = (ushort)counts[i];
            return frame;
        }
    );

    [Fact]
    public void Every_count_on_every_channel_survives()
    {
        var bytes = new byte[Packed16Format.FrameBytes];
        for (var channel = 0; channel < Packed16Format.Channels; channel++)
        {
            for (var count = 0; count <= Packed16Format.LargestCount; count++)
            {
                var frame = default(Packed16Frame);
                frame[channel] = (ushort)count;
                Packed16Codec.Encode(frame, bytes);
                Assert.True(
                    Packed16Codec.TryDecode(bytes, out var read) && read == frame,
                    $"channel {channel + 1}, count {count}"
                );
            }
        }
    }

    [Fact]
    public void Frames_survive_encoding_and_decoding() =>
        Frames.Sample(
            frame => Packed16Codec.TryDecode(Encode(frame), out var read) && read == frame,
            iter: Iterations.Of(2_000)
        );

    // Those of a good frame, and some that are nearly so.
    private static readonly byte[] Ends = [0, 0x04, 0x14, 0x24, 0x34, 0x44, 0x0C, 0x10];

    [Fact]
    public void A_wrong_end_byte_or_upper_flag_is_never_a_good_frame() =>
        Gen.Select(Frames, Gen.Byte, Gen.Byte, Gen.Bool)
            .Sample(
                (frame, flags, last, likely) =>
                {
                    var bytes = Encode(frame);
                    var end = likely ? Ends[last % Ends.Length] : last;
                    (bytes[23], bytes[24]) = (flags, end);
                    var good = (end is 0 or 0x04 or 0x14 or 0x24 or 0x34) && flags < 16;
                    var decoder = new Packed16Search();
                    decoder.Gap();
                    return Packed16Codec.TryDecode(bytes, out _) == good
                        && Read(decoder, bytes).Count == (good ? 1 : 0);
                },
                iter: Iterations.Of(2_000)
            );

    [Fact]
    public void Split_reads_give_the_same_frames() =>
        Gen.Select(Frames.Array[2, 12], Gen.Int[1, 40])
            .Sample(
                (frames, size) =>
                {
                    var stream = frames.SelectMany(Encode).ToArray();
                    var decoder = new Packed16Search();
                    var read = stream.Chunk(size).SelectMany(part => Read(decoder, part)).ToArray();
                    return read.AsSpan().SequenceEqual(frames);
                },
                iter: Iterations.Of(2_000)
            );

    [Fact]
    public void Frames_are_found_in_noise()
    {
        // Noise without a header byte, so that it can hide frames but not make one up.
        var noise = Gen.Byte.Where(b => b != Packed16Format.Header).Array[0, 80];
        Gen.Select(noise, Frames.Array[2, 8], noise)
            .Sample(
                (before, frames, after) =>
                {
                    var stream = before.Concat(frames.SelectMany(Encode)).Concat(after).ToArray();
                    var read = Read(new Packed16Search(), stream);
                    return read.Count >= frames.Length && frames.All(read.Contains);
                },
                iter: Iterations.Of(2_000)
            );
    }

    [Fact]
    public void Random_bytes_never_break_the_decoder_and_frames_after_a_gap_are_read() =>
        Gen.Select(Gen.Byte.Array[0, 300], Frames)
            .Sample(
                (noise, frame) =>
                {
                    var decoder = new Packed16Search();
                    Read(decoder, noise);
                    decoder.Gap();
                    return Read(decoder, Encode(frame)) is [var read] && read == frame;
                },
                iter: Iterations.Of(2_000)
            );

    [Fact]
    public void A_damaged_frame_is_counted_and_the_next_pair_locks_again()
    {
        var good = Encode(default);
        var damaged = Encode(default);
        damaged[24] = 0x55;
        var decoder = new Packed16Search();
        decoder.Gap();
        Assert.Single(Read(decoder, good));
        Assert.Empty(Read(decoder, damaged));
        Assert.Equal(1, decoder.DamagedFrames);
        Assert.Equal(2, Read(decoder, [.. good, .. good]).Count);
    }

    private static byte[] Encode(Packed16Frame frame)
    {
        var bytes = new byte[Packed16Format.FrameBytes];
        Packed16Codec.Encode(frame, bytes);
        return bytes;
    }

    private static List<Packed16Frame> Read(Packed16Search decoder, ReadOnlySpan<byte> bytes)
    {
        var frames = new List<Packed16Frame>();
        while (decoder.TryFind(ref bytes, out var found) && Packed16Codec.TryDecode(found, out var frame))
            frames.Add(frame);
        return frames;
    }
}
