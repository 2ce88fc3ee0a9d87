using Zephyros.Core.Edits;
using Zephyros.Core.Measure;
using Zephyros.Core.Measure.BesidePlan;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Captures;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Measuring;

/// <summary>Measuring sticks and switches against what the board shows: what was seen, and what follows from it.</summary>
internal static class MeasureEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        Question<WigglesRequest, WiggleView>(setups, "wiggles", "SolveWiggles", Wiggles);
        Question<SweepsRequest, EndpointView>(setups, "sweeps", "SolveSweeps", Sweeps);
        Question<PositionsRequest, PositionAnswer>(setups, "positions", "SolvePositions", Positions);
        Question<SensorSearchRequest, ReturnObstacle[]>(setups, "sensor-search", "DiagnoseSensors", Sensors);
        Question<SensorListRequest, SensorListing>(setups, "sensor-list", "ReadSensorList", List);
        Question<SensorUnitRequest, SetupEdit>(setups, "sensor-unit", "PutSensorInUnit", Unit);
        Question<TypedRoutineRequest, RoutineState>(setups, "typed-routine", "FollowTyped", Typed);
        setups
            .MapPost(
                "/{id}/plan-comparison",
                (HttpContext context, string id, string? capture, SetupStore store, CaptureShelf shelf) =>
                    Asking.AnswerAsync<BoardReadings>(
                        context,
                        store,
                        id,
                        (readings, setup) => Compare(setup, readings, capture, shelf)
                    )
            )
            .WithName("CompareMeasured")
            .Accepts<BoardReadings>("application/json")
            .Answers<MeasuredComparison>();
        setups
            .MapGet(
                "/{id}/simulated-measurement",
                (string id, SetupStore store) =>
                    Asking.Answer(
                        store,
                        id,
                        setup => TypedResults.Ok(SimulatedMeasurement.Readings(SignalPlan.Compile(setup)))
                    )
            )
            .WithName("MeasureSimulated")
            .Finds<BoardReadings>();
    }

    private static void Question<TAsked, TAnswer>(
        RouteGroupBuilder setups,
        string path,
        string name,
        Func<TAsked, Setup, IResult> answer
    )
        where TAsked : class =>
        setups
            .MapPost(
                $"/{{id}}/{path}",
                (HttpContext context, string id, SetupStore store) => Asking.AnswerAsync(context, store, id, answer)
            )
            .WithName(name)
            .Accepts<TAsked>("application/json")
            .Answers<TAnswer>();

    private static IResult Wiggles(WigglesRequest asked, Setup setup)
    {
        var sent = ChannelOrder.Of(setup.Model, setup.Transmitter);
        var answer = WiggleSolver.Solve(asked.Seen, sent, setup.Board.Map);
        return TypedResults.Ok(
            new WiggleView(
                answer,
                [.. answer.Contradictions.Select(c => new[] { c.One, c.Other })],
                WiggleFixes.Of(setup, answer)
            )
        );
    }

    private static IResult Sweeps(SweepsRequest asked, Setup setup)
    {
        var sweeps = asked.ByAxis();
        if (EndpointSolver.Problems(sweeps) is { Count: > 0 } problems)
            return Problem.Invalid("This cannot have been measured", problems);
        var answer = EndpointSolver.Solve(setup, sweeps);
        SetupEdit At(CorrectionPlace place) => EndpointEdits.At(setup, answer, place);
        return TypedResults.Ok(
            new EndpointView(
                answer,
                At(CorrectionPlace.Board),
                At(CorrectionPlace.Transmitter),
                At(CorrectionPlace.Both)
            )
        );
    }

    private static IResult Positions(PositionsRequest asked, Setup setup) =>
        PositionSolver.Problems(setup, asked.Seen) is { Count: > 0 } problems
            ? Problem.Invalid("This cannot have been measured", problems)
            : TypedResults.Ok(PositionSolver.Solve(SignalPlan.Compile(setup), asked.Seen));

    private static IResult Sensors(SensorSearchRequest asked, Setup setup) =>
        asked.Others < 0
            ? Problem.Invalid(
                "This cannot have been found",
                [new SetupProblem("/others", $"None or more others were found, not {asked.Others}.")]
            )
            : TypedResults.Ok(
                SensorSearch
                    .Diagnose(setup, asked.Found.ToHashSet(StringComparer.Ordinal), asked.Others, asked.OnUsb)
                    .ToArray()
            );

    private static IResult List(SensorListRequest asked, Setup setup) =>
        TypedResults.Ok(SensorListing.Read(setup, asked.Lines));

    private static IResult Unit(SensorUnitRequest asked, Setup setup) =>
        setup.Model.Sensors.ContainsKey(asked.Sensor)
            ? TypedResults.Ok(SensorEdits.InUnit(setup, asked.Sensor, asked.Unit))
            : Problem.NotFound($"The model has no sensor \"{asked.Sensor}\".");

    private static IResult Typed(TypedRoutineRequest asked, Setup setup)
    {
        if (asked.Kind == RoutineKind.None)
            return Problem.Invalid("No such routine", [new SetupProblem("/kind", "It measures sticks or switches.")]);
        var answer = TypedRoutine.After(SignalPlan.Compile(setup), asked.Kind, asked.Readings);
        return answer.Problem is { } wrong
            ? Problem.Invalid("This cannot have been read", [wrong])
            : TypedResults.Ok(answer.State);
    }

    private static IResult Compare(Setup setup, BoardReadings readings, string? capture, CaptureShelf shelf)
    {
        var recording = capture is null ? null : shelf.Find(capture)?.Verdict;
        return capture is not null && recording is null
            ? CaptureEndpoints.PutAway()
            : TypedResults.Ok(PlanComparison.Of(SignalPlan.Compile(setup), recording, readings));
    }
}
