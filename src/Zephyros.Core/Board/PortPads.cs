namespace Zephyros.Core.Board;

/// <summary>Which pads of a port can be reached.</summary>
public enum PortPads
{
    /// <summary>Receive and transmit.</summary>
    Both,

    /// <summary>Receive only.</summary>
    ReceiveOnly,
}
