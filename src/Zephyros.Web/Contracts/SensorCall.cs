namespace Zephyros.Web.Contracts;

/// <summary>Something done to one sensor of a bench.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Sensor">The sensor's id.</param>
public sealed record SensorCall(string Setup, string Sensor);
