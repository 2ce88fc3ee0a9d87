namespace Zephyros.Core.Wire;

/// <summary>How a sender makes a whole count of a value.</summary>
public enum CountRounding
{
    /// <summary>To the nearest count, half away from zero: -100 % wide is 172.8 and becomes 173.</summary>
    Nearest,

    /// <summary>Cut off: -100 % wide becomes 172, as some devices send it.</summary>
    Truncate,
}
