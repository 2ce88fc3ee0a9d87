using Zephyros.Core.Units;
using Zephyros.Core.Wire.Burst7;
using Zephyros.Core.Wire.Duplex;
using Zephyros.Core.Wire.Packed16;
using Zephyros.Core.Wire.Pulses;
using Zephyros.Core.Wire.Word14;

namespace Zephyros.Core.Wire;

/// <summary>Finds a format by its name.</summary>
public static class WireFormats
{
    /// <summary>All formats, in the order of their names.</summary>
    public static IReadOnlyList<WireFormat> All { get; } = Enum.GetValues<WireFormat>();

    /// <summary>The format.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The format is none of the named ones.</exception>
    public static WireCodec Codec(this WireFormat format) =>
        format switch
        {
            WireFormat.Packed16 => Packed16Format.Instance,
            WireFormat.Word14 => Word14Format.Instance,
            WireFormat.Burst7 => Burst7Format.Fine,
            WireFormat.Burst7Coarse => Burst7Format.Coarse,
            WireFormat.Duplex => DuplexFormat.Instance,
            WireFormat.PulseTrain => PulseTrainFormat.Instance,
            WireFormat.SeparatePulses => SeparatePulsesFormat.Instance,
            _ => throw new ArgumentOutOfRangeException(nameof(format), format, "Unknown wire format."),
        };

    /// <summary>How many channels a format carries with a period from frame to frame.</summary>
    public static int ChannelsIn(this WireFormat format, Milliseconds period) =>
        format == WireFormat.PulseTrain ? PulseTrainFormat.ChannelsIn(period) : format.Describe().Channels;

    /// <summary>The facts of a format.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The format is none of the named ones.</exception>
    public static WireDescriptor Describe(this WireFormat format) => format.Codec().Descriptor;
}
