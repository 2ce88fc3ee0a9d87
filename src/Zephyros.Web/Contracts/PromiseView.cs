using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>A promise and what came of it.</summary>
/// <param name="Code">Its code.</param>
/// <param name="Name">The promise in a few words.</param>
/// <param name="Title">The promise as a sentence that leaves nothing open.</param>
/// <param name="Principle">The principle behind it, with its source.</param>
/// <param name="State">How it stands.</param>
/// <param name="Reason">Why, in a sentence; empty while it is not known.</param>
/// <param name="Note">Why the pilot keeps it as it is, or switched it off; empty when nothing is said.</param>
/// <param name="States">How many states were looked at.</param>
/// <param name="Moves">How many moves deep.</param>
/// <param name="Milliseconds">How long it took.</param>
/// <param name="Assumptions">What was assumed, and what makes no difference.</param>
/// <param name="Path">The sequence that breaks it, the start first; empty unless there is one.</param>
public sealed record PromiseView(
    string Code,
    string Name,
    string Title,
    Provenance Principle,
    PromiseState State,
    string Reason,
    string Note,
    long States,
    int Moves,
    int Milliseconds,
    IReadOnlyList<string> Assumptions,
    IReadOnlyList<ProofStepView> Path
);
