namespace Zephyros.Core.Units;

/// <summary>The stations of the path, in the order in which a signal passes them.</summary>
public enum Station
{
    /// <summary>The transmitter's controls.</summary>
    Hands,

    /// <summary>The transmitter's model memory.</summary>
    Model,

    /// <summary>The radio link.</summary>
    Air,

    /// <summary>The wire from receiver to board.</summary>
    Wire,

    /// <summary>The flight controller.</summary>
    Board,

    /// <summary>The craft.</summary>
    Craft,

    /// <summary>The way back: what comes to the transmitter, and what it says of it.</summary>
    Return,
}
