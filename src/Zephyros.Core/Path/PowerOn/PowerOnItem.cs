namespace Zephyros.Core.Path.PowerOn;

/// <summary>A control in the power-on check.</summary>
/// <param name="Control">The id of the control.</param>
/// <param name="Name">Its name.</param>
/// <param name="Wanted">Where it must stand at switch-on, in words; empty when it is left out.</param>
/// <param name="Reason">Why the radio must warn about it, or why it is left out.</param>
/// <param name="Warns">True when the radio must warn about it.</param>
/// <param name="StartFits">False when its own start position is not the one that is wanted.</param>
public sealed record PowerOnItem(string Control, string Name, string Wanted, string Reason, bool Warns, bool StartFits)
{
    /// <summary>True when the check holds it only because the pilot wants it to.</summary>
    public bool IsOwn { get; init; }

    /// <summary>The setting that is wanted: percent, position, or 0 and 1; see <see cref="Hands.Control.Read"/>.</summary>
    public double Setting { get; init; }
}
