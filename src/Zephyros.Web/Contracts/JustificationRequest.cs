namespace Zephyros.Web.Contracts;

/// <summary>The reason to keep a finding on purpose.</summary>
/// <param name="Note">The reason; empty takes the justification back.</param>
public sealed record JustificationRequest(string Note);
