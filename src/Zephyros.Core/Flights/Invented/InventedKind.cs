namespace Zephyros.Core.Flights.Invented;

/// <summary>What happens on an invented flight.</summary>
public enum InventedKind
{
    /// <summary>Much throttle in gusts, with a sound battery.</summary>
    Gusts,

    /// <summary>A battery that holds less than it did, and has more resistance.</summary>
    WornBattery,

    /// <summary>A calm flight far out, on which the link fades for a while behind something.</summary>
    Fade,
}
