using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Setups.Json;

/// <summary>The outcome of reading a document: a valid setup, or what is wrong with the document.</summary>
/// <param name="Setup">The setup, or null when there are problems.</param>
/// <param name="Problems">What is wrong; empty when there is a setup.</param>
public sealed record SetupReading(Setup? Setup, IReadOnlyList<SetupProblem> Problems)
{
    /// <summary>A document with one thing wrong.</summary>
    public static SetupReading Failed(string place, string reason) => new(null, [new SetupProblem(place, reason)]);
}
