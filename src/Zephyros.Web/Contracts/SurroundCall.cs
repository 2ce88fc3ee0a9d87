namespace Zephyros.Web.Contracts;

/// <summary>Tilts the craft, connects it for configuration, unlocks arming while connected, gives it a position fix.</summary>
/// <param name="Setup">The setup's id.</param>
/// <param name="Tilt">How far it is tilted, 0 to 180 degrees.</param>
/// <param name="Connected">True while it is connected for configuration.</param>
/// <param name="Unlocked">True when it may be armed while connected.</param>
/// <param name="Fix">True when it has a position fix.</param>
public sealed record SurroundCall(string Setup, double Tilt, bool Connected, bool Unlocked, bool Fix);
