namespace Zephyros.Core.Flights;

/// <summary>What was spoken while a flight ran through a model.</summary>
/// <param name="At">When, since the first row.</param>
/// <param name="Text">What.</param>
public sealed record FlightSaying(TimeSpan At, string Text);
