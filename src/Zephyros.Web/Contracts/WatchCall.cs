namespace Zephyros.Web.Contracts;

/// <summary>Asks for the pictures of a bench.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Follow">The control that is followed along the path.</param>
/// <param name="Workings">True when the sums along the path are wanted as well; most pages show only what comes of them.</param>
public sealed record WatchCall(string Setup, string Follow, bool Workings);
