namespace Zephyros.Web.Contracts;

/// <summary>Something done to a bench that needs no more than its name.</summary>
/// <param name="Setup">The setup's id.</param>
public sealed record BenchCall(string Setup);
