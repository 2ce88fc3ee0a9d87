namespace Zephyros.Core.Setups.Validation;

/// <summary>Something that makes a document no setup.</summary>
/// <param name="Place">Where, as a JSON Pointer (RFC 6901); empty for the whole document.</param>
/// <param name="Reason">What is wrong and what would be right.</param>
public sealed record SetupProblem(string Place, string Reason);
