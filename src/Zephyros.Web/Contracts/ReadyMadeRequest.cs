namespace Zephyros.Web.Contracts;

/// <summary>What a pilot filled in for a ready-made chain.</summary>
/// <param name="Arguments">The values by the parameter's name; a missing one stands at its default.</param>
public sealed record ReadyMadeRequest(IReadOnlyDictionary<string, string> Arguments);
