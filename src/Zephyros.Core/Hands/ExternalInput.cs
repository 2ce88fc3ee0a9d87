namespace Zephyros.Core.Hands;

/// <summary>An external input of the transmitter, such as a head tracker: something outside moves it.</summary>
public sealed record ExternalInput : TravellingControl;
