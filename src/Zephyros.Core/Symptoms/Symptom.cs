namespace Zephyros.Core.Symptoms;

/// <summary>Something that a pilot sees go wrong, and what may be behind it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Title">What is seen, in the pilot's words.</param>
/// <param name="Suspects">The possible causes: those that the setup shows first, then those that must be looked at in the order in which
/// the trade looks, then those that the setup speaks against.</param>
public sealed record Symptom(string Id, string Title, IReadOnlyList<Suspect> Suspects);
