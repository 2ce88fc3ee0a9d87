using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Trial;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Storage;
using Zephyros.Web.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Flights;

/// <summary>Hearing an alarm: on the bench, and at the pilot's own transmitter, where its limit must be read back.</summary>
internal static class AlarmTrialEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapPost("/{id}/alarms/{alarm}/bench-test", Test).WithName("TestAlarm").Finds<BenchMessage>();
        setups
            .MapPost(
                "/{id}/alarms/{alarm}/raise",
                (HttpContext context, string id, string alarm, SetupStore store) =>
                    Asking.AnswerAsync<AlarmReadRequest>(
                        context,
                        store,
                        id,
                        (asked, setup) => Of(setup, alarm, found => Raise(setup, found, asked))
                    )
            )
            .WithName("RaiseAlarm")
            .Accepts<AlarmReadRequest>("application/json")
            .Answers<SetupEdit>();
        setups
            .MapPost(
                "/{id}/alarms/{alarm}/read-back",
                (HttpContext context, string id, string alarm, SetupStore store) =>
                    Asking.AnswerAsync<AlarmReadRequest>(
                        context,
                        store,
                        id,
                        (asked, setup) => Of(setup, alarm, found => ReadBack(setup, found, asked))
                    )
            )
            .WithName("ReadAlarmBack")
            .Accepts<AlarmReadRequest>("application/json")
            .Answers<SetupEdit>();
    }

    private static IResult Test(string id, string alarm, BenchRooms rooms)
    {
        if (rooms.Enter(id) is not { } room)
            return Saving.NoSetup(id);
        return room.TestAlarm(alarm) is { Length: > 0 } obstacle
            ? Problem.Of(StatusCodes.Status409Conflict, "Not to be tested now", obstacle)
            : TypedResults.Ok(room.Look("throttle"));
    }

    private static IResult Of(Setup setup, string id, Func<Alarm, IResult> answer) =>
        Alarm.Of(setup).FirstOrDefault(a => a.Id == id) is { } alarm
            ? answer(alarm)
            : Problem.NotFound("The model has no such alarm.");

    private static IResult Raise(Setup setup, Alarm alarm, AlarmReadRequest asked)
    {
        var raised = RaisedLimit.Of(alarm, asked.Reads);
        return raised.Level is { } level
            ? TypedResults.Ok(RaisedLimit.Note(setup, alarm, level))
            : Problem.Of(StatusCodes.Status409Conflict, "Not to be tested so", raised.Obstacle);
    }

    private static IResult ReadBack(Setup setup, Alarm alarm, AlarmReadRequest asked) =>
        RaisedLimit.ReadBack(setup, alarm, asked.Reads, asked.Over) is { } edit
            ? TypedResults.Ok(edit)
            : Problem.Of(
                StatusCodes.Status409Conflict,
                "Not back yet",
                $"It reads {Both(alarm, asked.Reads, asked.Over)}, and must read {Both(alarm, alarm.Level.Limit, alarm.Over)}: set it back, and read it again."
            );

    private static string Both(Alarm alarm, Reading limit, Reading? over) =>
        over is { } also ? $"{alarm.Sensor.Words(limit)} and {alarm.Sensor.Words(also)}" : alarm.Sensor.Words(limit);
}
