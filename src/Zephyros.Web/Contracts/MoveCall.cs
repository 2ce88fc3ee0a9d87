namespace Zephyros.Web.Contracts;

/// <summary>Moves a control.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Control">The control's id.</param>
/// <param name="Setting">Percent for a stick or a dial, the position for a switch, 0 or 1 for a button.</param>
public sealed record MoveCall(string Setup, string Control, double Setting);
