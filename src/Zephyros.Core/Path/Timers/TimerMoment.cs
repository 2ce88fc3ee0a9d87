namespace Zephyros.Core.Path.Timers;

/// <summary>What a timer does at one event of a flight.</summary>
/// <param name="Event">The event.</param>
/// <param name="Counts">True when it counts afterwards.</param>
/// <param name="Resets">True when the event resets it.</param>
public sealed record TimerMoment(TimerEvent Event, bool Counts, bool Resets)
{
    /// <summary>What happens, in words.</summary>
    public string Words => TimerTrial.Words(Event);

    /// <summary>True when it counts though the motors stand still, or may: the board can refuse a switch.</summary>
    public bool CountsUnarmed => Counts && (Event <= TimerEvent.SwitchOn || Event >= TimerEvent.SwitchOff);

    /// <summary>True when it is reset before the battery is off. It may be reset then, or as the next one comes: with that, what was flown can
    /// still be read in between.</summary>
    /// <remarks>Common practice, no source: the first.</remarks>
    public bool ResetsTooSoon => Resets && Event < TimerEvent.Unplugged;
}
