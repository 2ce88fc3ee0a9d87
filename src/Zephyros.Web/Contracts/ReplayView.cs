namespace Zephyros.Web.Contracts;

/// <summary>What a model would have said on recorded flights, and how one of its alarms did.</summary>
/// <param name="Alarms">The alarms of the model.</param>
/// <param name="Chosen">The id of the one that is judged; null when the model has none.</param>
/// <param name="Wish">What it is held to; null when there is none.</param>
/// <param name="Flights">The flights, in the order in which they were asked for.</param>
public sealed record ReplayView(
    IReadOnlyList<AlarmView> Alarms,
    string? Chosen,
    Core.Flights.JudgeWish? Wish,
    IReadOnlyList<ReplayedFlight> Flights
);
