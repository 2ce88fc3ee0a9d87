namespace Zephyros.Web.Contracts;

/// <summary>Asks for the pictures of a bench.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Follow">The control that is followed along the path.</param>
public sealed record WatchCall(string Setup, string Follow);
