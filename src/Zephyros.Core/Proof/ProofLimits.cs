namespace Zephyros.Core.Proof;

/// <summary>How far a proof may go before it says that it has not proven anything.</summary>
/// <param name="Bytes">The memory that it may take, about.</param>
/// <param name="TwoHands">True to try pairs of controls that change within one frame as well.</param>
public sealed record ProofLimits(long Bytes = 900L << 20, bool TwoHands = false)
{
    /// <summary>The time that each promise may take.</summary>
    public TimeSpan Time { get; init; } = TimeSpan.FromMinutes(2);
}
