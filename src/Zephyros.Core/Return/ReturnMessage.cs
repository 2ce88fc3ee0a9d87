namespace Zephyros.Core.Return;

/// <summary>What comes down in one message.</summary>
public enum ReturnMessage
{
    /// <summary>What the receiver measures of the link; it comes with every packet.</summary>
    Link,

    /// <summary>What the board does, and what is set by hand on the bench.</summary>
    State,

    /// <summary>Voltage, current and charge used.</summary>
    Battery,

    /// <summary>Height.</summary>
    Height,

    /// <summary>Distance home and satellites.</summary>
    Position,
}
