namespace Zephyros.Core.Wire;

/// <summary>A wire format: its facts, and lines on which values really go through it.</summary>
public abstract class WireCodec
{
    /// <summary>The facts.</summary>
    public abstract WireDescriptor Descriptor { get; }

    /// <summary>A new line between a receiver and a board.</summary>
    /// <param name="channels">How many channels are sent, where the format leaves that open.</param>
    public abstract WireLine CreateLine(int channels);
}
