namespace Zephyros.Web.Contracts;

/// <summary>Puts a battery into the craft.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Left">The share of its charge that is left, 0 to 100 %.</param>
public sealed record BatteryCall(string Setup, double Left);
