namespace Zephyros.Web.Contracts;

/// <summary>Moves controls, all of them at the same moment.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Settings">Where each is put, by its id: percent for a stick or a dial, the position for a switch, 0 or 1 for a button.</param>
public sealed record MoveCall(string Setup, IReadOnlyDictionary<string, double> Settings);
