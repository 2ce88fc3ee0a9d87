namespace Zephyros.Web.Contracts;

/// <summary>Takes the craft to a distance, or back to the bench.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Kilometres">More than 0, up to 10 000 km; null for the bench.</param>
public sealed record DistanceCall(string Setup, double? Kilometres);
