namespace Zephyros.Core.Hands;

/// <summary>A dial that stays where it is put.</summary>
public sealed record DialControl : TravellingControl;
