namespace Zephyros.Core.Proof.Cells;

/// <summary>Neighbouring values of an input.</summary>
/// <param name="From">The lowest of them.</param>
/// <param name="UpTo">The highest of them.</param>
public readonly record struct InputStretch(double From, double UpTo);
