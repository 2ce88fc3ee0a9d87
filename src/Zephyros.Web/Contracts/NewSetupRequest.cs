namespace Zephyros.Web.Contracts;

/// <summary>A wish for a new craft that starts with an empty memory.</summary>
/// <param name="Name">The craft's name.</param>
/// <param name="Shape">The origin of the blank transmitter to start from, such as "blank-8".</param>
public sealed record NewSetupRequest(string Name, string Shape);
