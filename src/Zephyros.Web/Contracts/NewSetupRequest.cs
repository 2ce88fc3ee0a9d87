namespace Zephyros.Web.Contracts;

/// <summary>A wish for a new craft that starts with an empty memory.</summary>
/// <param name="Name">The craft's name.</param>
/// <param name="Shape">The id of the transmitter to start from, such as "blank-8" or "craft:sandpiper".</param>
public sealed record NewSetupRequest(string Name, string Shape);
