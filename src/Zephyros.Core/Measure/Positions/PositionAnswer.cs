namespace Zephyros.Core.Measure.Positions;

/// <summary>What follows from measuring the positions of switches and buttons.</summary>
/// <param name="Positions">Each of them, beside what is planned.</param>
/// <param name="Fixes">What can be done about it; each is one edit.</param>
public sealed record PositionAnswer(IReadOnlyList<MeasuredPosition> Positions, IReadOnlyList<PositionFix> Fixes);
