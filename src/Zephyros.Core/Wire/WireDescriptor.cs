using Zephyros.Core.Units;

namespace Zephyros.Core.Wire;

/// <summary>The facts of a wire format, as they are shown and computed with.</summary>
/// <param name="Name">Zephyros' own name of the format.</param>
/// <param name="Line">Speed, framing and polarity of the line, in words.</param>
/// <param name="Baud">Bits per second on the wire.</param>
/// <param name="BitsPerByte">Bits on the wire for each byte: start, data, parity and stop.</param>
/// <param name="FrameBytes">Bytes in a frame.</param>
/// <param name="Channels">How many proportional channels a frame carries.</param>
/// <param name="Step">How much one count of the format is.</param>
/// <param name="LossShownBy">How the format shows that the signal is lost.</param>
/// <param name="Provenance">Where these facts come from.</param>
public sealed record WireDescriptor(
    string Name,
    string Line,
    int Baud,
    int BitsPerByte,
    int FrameBytes,
    int Channels,
    Microseconds Step,
    string LossShownBy,
    string Provenance
)
{
    /// <summary>How long a frame is on the wire: bytes times bits per byte over baud.</summary>
    public TimeSpan TimeOnWire => TimeSpan.FromSeconds((double)FrameBytes * BitsPerByte / Baud);
}
