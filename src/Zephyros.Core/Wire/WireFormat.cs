namespace Zephyros.Core.Wire;

/// <summary>The wire formats between receiver and board, by Zephyros' own names. Each has a folder of its own.</summary>
public enum WireFormat
{
    /// <summary>Sixteen 11-bit channels packed into 25 bytes; see <see cref="Packed16.Packed16Format"/>.</summary>
    Packed16,

    /// <summary>Fourteen channels in whole microseconds; see <see cref="Word14.Word14Format"/>.</summary>
    Word14,

    /// <summary>Seven words a frame, twelve channels in two frames; see <see cref="Burst7.Burst7Format"/>.</summary>
    Burst7,

    /// <summary>The same with 10-bit words, seven channels; see <see cref="Burst7.Burst7Format"/>.</summary>
    Burst7Coarse,

    /// <summary>Packets with a checksum, both ways; see <see cref="Duplex.DuplexFormat"/>.</summary>
    Duplex,

    /// <summary>All channels as pulses one after the other on one wire; see <see cref="Pulses.PulseTrainFormat"/>.</summary>
    PulseTrain,

    /// <summary>A wire and a pulse for each channel; see <see cref="Pulses.SeparatePulsesFormat"/>.</summary>
    SeparatePulses,
}
