namespace Zephyros.Web.Contracts;

/// <summary>Lets a sensor of the craft measure something else.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Sensor">The sensor's id.</param>
/// <param name="Reading">The reading, in the sensor's unit.</param>
public sealed record ReportCall(string Setup, string Sensor, double Reading);
