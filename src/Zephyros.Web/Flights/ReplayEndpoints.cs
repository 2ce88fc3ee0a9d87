using Microsoft.AspNetCore.Http.HttpResults;
using Zephyros.Core.Flights;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Flights;

/// <summary>What a model would have said on recorded flights, and how its alarms are tuned on them.</summary>
internal static class ReplayEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app, RouteGroupBuilder setups)
    {
        setups
            .MapPost(
                "/{id}/replay",
                (HttpContext context, string id, SetupStore store, FlightShelf shelf) =>
                    Asking.AnswerAsync<ReplayRequest>(
                        context,
                        store,
                        id,
                        (asked, setup) => Replay(setup, asked, shelf, context.RequestAborted)
                    )
            )
            .WithName("ReplayFlights")
            .Accepts<ReplayRequest>("application/json")
            .Answers<ReplayView>();
        setups
            .MapPost(
                "/{id}/alarm-maps",
                (HttpContext context, string id, SetupStore store, FlightShelf shelf) =>
                    Asking.AnswerAsync<ReplayRequest>(context, store, id, (asked, setup) => Survey(setup, asked, shelf))
            )
            .WithName("MapAlarm")
            .Accepts<ReplayRequest>("application/json")
            .Answers<AlarmMapView>();
        setups
            .MapPost(
                "/{id}/alarm-edit",
                (HttpContext context, string id, SetupStore store) =>
                    Asking.AnswerAsync<AlarmEditRequest>(context, store, id, Edit)
            )
            .WithName("EditAlarm")
            .Accepts<AlarmEditRequest>("application/json")
            .Answers<SetupEdit>();
        app.MapGet("/api/alarm-maps/{map}", Look).WithName("LookAtAlarmMap").Finds<AlarmMapView>();
        app.MapDelete("/api/alarm-maps/{map}", End).WithName("EndAlarmMap");
    }

    private static IResult Replay(Setup setup, ReplayRequest asked, FlightShelf shelf, CancellationToken cancel)
    {
        var alarms = Alarm.Of(setup);
        var alarm = alarms.FirstOrDefault(a => a.Id == asked.Alarm) ?? (alarms.Count > 0 ? alarms[0] : null);
        if (Found(asked, shelf) is not { } flights)
            return FlightEndpoints.PutAway();
        var wish = alarm is null ? null : Wish(setup, alarm, asked);
        return TypedResults.Ok(
            new ReplayView(
                [.. alarms.Select(a => AlarmView.Of(setup, a))],
                alarm?.Id,
                wish,
                [
                    .. flights.Select(f =>
                        ReplayedFlight.Of(
                            f.Id,
                            FlightReplay.Run(setup, f.Flight, alarm is null ? [] : [alarm.Id], asked.Way, cancel),
                            alarm,
                            alarm is null ? null : new FlightCourse(setup, f.Flight, alarm, wish!)
                        )
                    ),
                ]
            )
        );
    }

    private static IResult Survey(Setup setup, ReplayRequest asked, FlightShelf shelf)
    {
        if (Alarm.Of(setup).FirstOrDefault(a => a.Id == asked.Alarm) is not { } alarm)
            return Problem.Invalid("No such alarm", [new SetupProblem("/alarm", "The model has no such alarm.")]);
        if (Found(asked, shelf) is not { Count: > 0 } flights)
            return FlightEndpoints.PutAway();
        var work = new LongWork<AlarmMap>(
            (progress, cancel) =>
                AlarmMap.Of(
                    setup,
                    alarm,
                    [.. flights.Select(f => f.Flight)],
                    Wish(setup, alarm, asked),
                    AlarmGrid.Of(setup, alarm),
                    asked.Way,
                    progress,
                    cancel
                )
        );
        return TypedResults.Ok(AlarmMapView.Of(shelf.Keep(new ShelvedMap(alarm, work))));
    }

    private static IResult Edit(AlarmEditRequest asked, Setup setup) =>
        Alarm.Of(setup).FirstOrDefault(a => a.Id == asked.Alarm) is { } alarm
            ? TypedResults.Ok(alarm.At(setup, asked.Level, asked.Wait))
            : Problem.Invalid("No such alarm", [new SetupProblem("/alarm", "The model has no such alarm.")]);

    private static IResult Look(string map, FlightShelf shelf) =>
        shelf.FindMap(map) is { } found
            ? TypedResults.Ok(AlarmMapView.Of(found))
            : Problem.NotFound("There is no such map, or it was put away: make it again.");

    private static NoContent End(string map, FlightShelf shelf)
    {
        shelf.Remove(map);
        return TypedResults.NoContent();
    }

    // Null when one of them is no longer there, or cannot be used.
    private static List<(string Id, FlightRecording Flight)>? Found(ReplayRequest asked, FlightShelf shelf)
    {
        var found = new List<(string, FlightRecording)>();
        foreach (var id in asked.Flights.Distinct(StringComparer.Ordinal))
        {
            if (shelf.Find(id)?.Work.Result?.Recording is not { } recording)
                return null;
            found.Add((id, recording));
        }

        return found;
    }

    private static JudgeWish Wish(Setup setup, Alarm alarm, ReplayRequest asked)
    {
        var usual = JudgeWish.Usual(setup, alarm);
        return new(asked.Critical ?? usual.Critical, asked.Settle ?? usual.Settle, asked.Lead ?? usual.Lead);
    }
}
