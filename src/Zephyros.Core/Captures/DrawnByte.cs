using Zephyros.Core.Units;

namespace Zephyros.Core.Captures;

/// <summary>A byte of a drawn frame.</summary>
/// <param name="At">Where it begins in the drawn piece.</param>
/// <param name="Length">How long it is: start, data, parity and stop bits.</param>
/// <param name="Value">The byte, 0 to 255.</param>
/// <param name="Name">What it is.</param>
public sealed record DrawnByte(Microseconds At, Microseconds Length, int Value, string Name);
