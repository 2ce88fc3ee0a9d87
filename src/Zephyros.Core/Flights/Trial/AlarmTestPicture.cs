using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Trial;

/// <summary>The test of an alarm on the bench at one moment.</summary>
/// <param name="Alarm">The id of its condition.</param>
/// <param name="State">How far it is.</param>
/// <param name="Level">Where the limit was raised to.</param>
/// <param name="Words">What was heard, or what came instead.</param>
/// <param name="After">How long after the limit was raised it was heard; null while it was not.</param>
public sealed record AlarmTestPicture(
    string Alarm,
    AlarmTestState State,
    Reading Level,
    string Words,
    Milliseconds? After
);
