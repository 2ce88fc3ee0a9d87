using Zephyros.Core.Units;

namespace Zephyros.Core.Wire.Packed16;

/// <summary>Packed 16: sixteen 11-bit counts, two digital channels and two loss flags in 25 bytes.</summary>
/// <remarks>Layout and count scale from memory:
/// us = 880 + 0.625 x count.</remarks>
public sealed class Packed16Format : SerialCodec
{
    /// <summary>The first byte of every frame.</summary>
    public const byte Header = 0x0F;

    /// <summary>The last byte of every frame that is sent.</summary>
    public const byte End = 0x00;

    /// <summary>True for the last byte of a good frame. A receiver that sends telemetry into slots of the same wire marks the slot in it:
    /// 0x04, 0x14, 0x24, 0x34 (from memory).</summary>
    public static bool IsEnd(byte last) => last == End || (last & 0xCF) == 0x04;

    /// <summary>Bytes in a frame.</summary>
    public const int FrameBytes = 25;

    /// <summary>Proportional channels in a frame.</summary>
    public const int Channels = 16;

    /// <summary>The largest count that 11 bits hold.</summary>
    public const int LargestCount = 2047;

    /// <summary>The four upper flag bits, which are always zero in a good frame.</summary>
    public const byte UnusedFlags = 0xF0;

    [Figure(Station.Wire, "Packed 16: a count of 0 stands for", ProvenanceKind.FromMemory, Unit = "µs")]
    private const double ZeroCount = 880;

    [Figure(Station.Wire, "Packed 16: one count is", ProvenanceKind.FromMemory, Unit = "µs")]
    private const double CountStep = 0.625;

    private Packed16Format() { }

    /// <summary>The format.</summary>
    public static Packed16Format Instance { get; } = new();

    /// <inheritdoc />
    public override WireDescriptor Descriptor { get; } = Describe();

    /// <inheritdoc />
    public override int Write(ReadOnlySpan<int> counts, int turn, Span<byte> bytes)
    {
        var frame = default(Packed16Frame);
        for (var i = 0; i < Channels; i++)
            frame[i] = (ushort)Math.Clamp(counts[i], 0, LargestCount);
        Packed16Codec.Encode(frame, bytes);
        return FrameBytes;
    }

    /// <inheritdoc />
    public override string NameOf(ReadOnlySpan<byte> frame, int at) =>
        at switch
        {
            0 => "header",
            FrameBytes - 2 => "flags",
            FrameBytes - 1 => "end",
            _ => ChannelsOf(at - 1),
        };

    /// <summary>The channels of which a packed byte holds bits, such as "2 3".</summary>
    /// <param name="packed">The place of the byte among the 22 packed ones.</param>
    internal static string ChannelsOf(int packed)
    {
        const int BitsOfChannel = 11;
        var (first, last) = (packed * 8 / BitsOfChannel, ((packed * 8) + 7) / BitsOfChannel);
        return first == last ? $"ch {first + 1}" : $"ch {first + 1}, {last + 1}";
    }

    /// <inheritdoc />
    public override FrameSearch CreateSearch() => new Packed16Search();

    /// <inheritdoc />
    public override FrameKind Read(ReadOnlySpan<byte> frame, Span<int> counts)
    {
        if (!Packed16Codec.TryDecode(frame, out var read))
            return FrameKind.Other;
        for (var i = 0; i < Channels; i++)
            counts[i] = read[i];
        return read.IsFresh ? FrameKind.Channels : FrameKind.Stale;
    }

    /// <inheritdoc />
    public override LossKind? LossSaidBy(ReadOnlySpan<byte> frame)
    {
        var flags = (Packed16Flags)frame[FrameBytes - 2];
        return flags.HasFlag(Packed16Flags.SignalLoss) ? LossKind.SignalLoss
            : flags.HasFlag(Packed16Flags.FrameLost) ? LossKind.FrameLost
            : null;
    }

    /// <inheritdoc />
    public override void Say(Span<byte> frame, LossKind kind) =>
        frame[FrameBytes - 2] |= (byte)(
            kind switch
            {
                LossKind.Missing => Packed16Flags.None,
                LossKind.FrameLost => Packed16Flags.FrameLost,
                LossKind.SignalLoss => Packed16Flags.FrameLost | Packed16Flags.SignalLoss,
            }
        );

    private static WireDescriptor Describe()
    {
        var framing = new SerialFraming(100_000, Parity.Even, 2, Inverted: true);
        return new WireDescriptor
        {
            Name = "Packed 16",
            Line = framing.Words,
            Framing = framing,
            FrameBytes = FrameBytes,
            Channels = Channels,
            Zero = new Microseconds(ZeroCount),
            Step = new Microseconds(CountStep),
            FramesForAll = 1,
            SmallestCount = 0,
            LargestCount = LargestCount,
            UsualPeriods = [new(7), new(14)],
            TimeOnWire = WireDescriptor.TimeOf(FrameBytes, framing),
            LossShownBy = "flag bits: frame lost, signal loss",
            Wires = "the receiver's signal to the receive pad of a port with an inverter",
            Provenance = Provenance.Memory(),
        };
    }
}
