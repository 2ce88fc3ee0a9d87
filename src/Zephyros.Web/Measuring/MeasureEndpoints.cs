using Zephyros.Core.Hands;
using Zephyros.Core.Measure;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Procedure;
using Zephyros.Core.Setups;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Measuring;

/// <summary>Measuring sticks against the board's bars: what was seen, what follows from it, and its record.</summary>
internal static class MeasureEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups
            .MapPost("/{id}/wiggles", WiggleAsync)
            .WithName("SolveWiggles")
            .Accepts<WigglesRequest>("application/json")
            .Answers<WiggleView>();
        setups
            .MapPost("/{id}/sweeps", SweepAsync)
            .WithName("SolveSweeps")
            .Accepts<SweepsRequest>("application/json")
            .Answers<EndpointView>();
        setups
            .MapPost("/{id}/positions", PositionsAsync)
            .WithName("SolvePositions")
            .Accepts<PositionsRequest>("application/json")
            .Answers<PositionAnswer>();
        setups
            .MapPost("/{id}/typed-routine", TypeAsync)
            .WithName("FollowTyped")
            .Accepts<TypedRoutineRequest>("application/json")
            .Answers<RoutineState>();
        setups.MapGet("/{id}/simulated-measurement", Simulate).WithName("MeasureSimulated").Finds<SimulatedView>();
        setups.MapGet("/{id}/measurements", List).WithName("ListMeasurements").Finds<MeasurementView[]>();
        setups
            .MapPost("/{id}/measurements", RecordAsync)
            .WithName("RecordMeasurement")
            .Accepts<MeasurementRecord>("application/json")
            .Answers<MeasurementView>();
    }

    private static async Task<IResult> WiggleAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<WigglesRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        var sent = ChannelOrder.Of(setup.Model, setup.Transmitter);
        var answer = WiggleSolver.Solve(wish.Seen, sent, setup.Board.Map);
        return TypedResults.Ok(
            new WiggleView(
                answer,
                [.. answer.Contradictions.Select(c => new[] { c.One, c.Other })],
                WiggleFixes.Of(setup, answer)
            )
        );
    }

    private static async Task<IResult> SweepAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<SweepsRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        var sweeps = wish.ByAxis();
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

    private static async Task<IResult> PositionsAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<PositionsRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        return PositionSolver.Problems(setup, wish.Seen) is { Count: > 0 } problems
            ? Problem.Invalid("This cannot have been measured", problems)
            : TypedResults.Ok(PositionSolver.Solve(SignalPlan.Compile(setup), wish.Seen));
    }

    private static async Task<IResult> TypeAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<TypedRoutineRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        var answer = TypedRoutine.After(SignalPlan.Compile(setup), wish.Kind, wish.Readings);
        return answer.Problem is { } wrong
            ? Problem.Invalid("This cannot have been read", [wrong])
            : TypedResults.Ok(answer.State);
    }

    private static IResult Simulate(string id, SetupStore store)
    {
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        var plan = SignalPlan.Compile(setup);
        return TypedResults.Ok(
            new SimulatedView(
                [.. StickAxes.All.Select(a => SimulatedMeasurement.Wiggled(plan, a)).OfType<WiggleSeen>()],
                StickAxes
                    .All.Select(a => (Axis: a, Sweep: SimulatedMeasurement.Swept(plan, a)))
                    .Where(s => s.Sweep is not null)
                    .ToDictionary(s => s.Axis.Word(), s => s.Sweep!, StringComparer.Ordinal),
                SimulatedMeasurement.Positions(plan)
            )
        );
    }

    private static IResult List(string id, SetupStore store, EvidenceStore evidence) =>
        store.Find(id) is { Setup: var setup }
            ? TypedResults.Ok(
                evidence.List<MeasurementRecord>(id, EvidenceKind.Measurement).Select(m => View(m, setup)).ToArray()
            )
            : Saving.NoSetup(id);

    private static async Task<IResult> RecordAsync(
        HttpContext context,
        string id,
        SetupStore store,
        EvidenceStore evidence,
        CancellationToken cancel
    )
    {
        var (record, problem) = await RequestBody.ReadAsync<MeasurementRecord>(context.Request, cancel);
        if (record is null)
            return problem!;
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        var kept = evidence.Add(id, EvidenceKind.Measurement, record, EvidenceBasis.OfMeasurement(setup, record));
        return TypedResults.Ok(View(kept, setup));
    }

    private static MeasurementView View(StoredEvidence<MeasurementRecord> kept, Setup setup) =>
        new(kept.Id, kept.TakenAt, kept.Record, [.. EvidenceBasis.Changed(setup, kept.Basis).Select(p => p.Name)]);
}
