namespace Zephyros.Storage;

/// <summary>The result of an attempt to save.</summary>
/// <param name="Outcome">What became of it.</param>
/// <param name="Current">The setup as it stands in the store now; null when there is none of that id.</param>
public sealed record SaveResult(SaveOutcome Outcome, StoredSetup? Current);
