using Zephyros.Core.Flights;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>What a model would have said on a recorded flight.</summary>
/// <param name="Flight">The id of the flight.</param>
/// <param name="AtCraft">True when its rows were taken as measured at the craft, and brought down by telemetry.</param>
/// <param name="Said">What was said.</param>
/// <param name="NotKept">How much more was said.</param>
/// <param name="Silent">What the model asks and never heard, in sentences.</param>
/// <param name="Judged">The times for which the judged alarm held.</param>
/// <param name="False">How often that was false.</param>
/// <param name="Enough">True when it left what is wanted, or nothing was to be warned of.</param>
/// <param name="Words">How it did, in a sentence or two; empty when none is judged.</param>
/// <param name="Critical">When the critical moment came; null when it never did.</param>
/// <param name="CriticalWhy">What made it critical.</param>
/// <param name="Blind">What could not be judged, in sentences.</param>
public sealed record ReplayedFlight(
    string Flight,
    bool AtCraft,
    IReadOnlyList<SaidView> Said,
    int NotKept,
    IReadOnlyList<string> Silent,
    IReadOnlyList<HoldingView> Judged,
    int False,
    bool Enough,
    string Words,
    Milliseconds? Critical,
    string CriticalWhy,
    IReadOnlyList<string> Blind
)
{
    internal static ReplayedFlight Of(string id, FlightReplay replay, Alarm? alarm, FlightCourse? course)
    {
        var held = alarm is null ? [] : replay.Held[alarm.Id];
        var score = course?.Score(held) ?? default;
        return new(
            id,
            replay.AtCraft,
            [.. replay.Said.Select(s => new SaidView(new(s.At.TotalMilliseconds), s.Text))],
            replay.NotKept,
            replay.Silent,
            [
                .. (course?.Judge(held) ?? []).Select(j => new HoldingView(
                    new(j.Holding.From.TotalMilliseconds),
                    new(j.Holding.To.TotalMilliseconds),
                    j.False,
                    j.Why
                )),
            ],
            score.False,
            course?.IsEnough(score) ?? true,
            course?.Words(score, held) ?? "",
            course?.Critical is { } at ? new Milliseconds(at.TotalMilliseconds) : null,
            course?.CriticalWhy ?? "",
            [.. course?.Blind ?? []]
        );
    }
}
