using System.ComponentModel;

namespace Zephyros.Core.Hands;

/// <summary>A control that sits at a place of its own: everything but the sticks, whose hand follows from the stick mode.</summary>
public abstract record PlacedControl : Control
{
    /// <summary>Where the fingers find it.</summary>
    [Description("Where the fingers find the control.")]
    public required ControlPlace Place { get; init; }
}
