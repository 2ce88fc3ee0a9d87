namespace Zephyros.Core.Flights;

/// <summary>A time for which an alarm held, judged.</summary>
/// <param name="Holding">The time.</param>
/// <param name="False">True when it warned of nothing.</param>
/// <param name="Why">Why it is called so, in a sentence.</param>
public sealed record JudgedHolding(Holding Holding, bool False, string Why);
