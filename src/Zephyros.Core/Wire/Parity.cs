namespace Zephyros.Core.Wire;

/// <summary>The parity bit of a byte on a serial line.</summary>
public enum Parity
{
    /// <summary>There is none.</summary>
    None,

    /// <summary>The number of ones, with the parity bit, is even.</summary>
    Even,

    /// <summary>The number of ones, with the parity bit, is odd.</summary>
    Odd,
}
