namespace Zephyros.Core.Captures;

/// <summary>A byte on a serial line.</summary>
/// <param name="At">When its start bit begins, in nanoseconds.</param>
/// <param name="Value">The byte.</param>
/// <param name="Good">False when its parity or a stop bit is wrong.</param>
public readonly record struct SerialByte(long At, byte Value, bool Good);
