namespace Zephyros.Core.Hands;

/// <summary>A slider that stays where it is put.</summary>
public sealed record SliderControl : TravellingControl;
