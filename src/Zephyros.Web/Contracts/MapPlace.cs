namespace Zephyros.Web.Contracts;

/// <summary>The place of a map that is recommended.</summary>
/// <param name="Level">Its place among the levels.</param>
/// <param name="Wait">Its place among the times.</param>
/// <param name="Why">Why.</param>
public sealed record MapPlace(int Level, int Wait, string Why);
