namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>A real transmitter, receiver and board beside their plan.</summary>
/// <param name="Problem">Why the recording does not tell everything, in a sentence; empty when it does, or when there is none.</param>
/// <param name="Channels">Every channel that the model feeds, by number.</param>
public sealed record MeasuredComparison(string Problem, IReadOnlyList<MeasuredChannel> Channels);
