using Zephyros.Core.Edits;
using Zephyros.Core.Fixes;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Export;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Replay;
using Zephyros.Core.Setups;
using Zephyros.Storage;
using Zephyros.Web.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Proofs;

/// <summary>The proof of a setup: promises, verdicts, sequences, fixes, and the explored model to take away.</summary>
internal static class ProofEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/proof", Look).WithName("GetProof").Finds<ProofView>();
        setups
            .MapPost("/{id}/proof", BeginAsync)
            .WithName("BeginProof")
            .Accepts<ProofRunRequest>("application/json")
            .Finds<ProofView>();
        setups.MapPost("/{id}/proof/cancel", Cancel).WithName("CancelProof").Finds<ProofView>();
        setups.MapGet("/{id}/proof/{code}/model", Export).WithName("ExportProof").Finds<string>();
        setups.MapGet("/{id}/proof/{code}/fixes", FixesAsync).WithName("ListProvenFixes").Finds<ProvenFix[]>();
        setups.MapPost("/{id}/proof/{code}/bench/{step:int}", Play).WithName("PlayProofStep").Finds<BenchMessage>();
        setups
            .MapPut("/{id}/proof/{code}", DecideAsync)
            .WithName("DecidePromise")
            .Accepts<PromiseRequest>("application/json")
            .Changes();
    }

    private static IResult Look(string id, ProofRuns runs) =>
        runs.Enter(id) is { } run ? TypedResults.Ok(run.View()) : Saving.NoSetup(id);

    private static async Task<IResult> BeginAsync(
        HttpContext context,
        string id,
        ProofRuns runs,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<ProofRunRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        return runs.Begin(id, wish) is { } run ? TypedResults.Ok(run.View()) : Saving.NoSetup(id);
    }

    private static async Task<IResult> Cancel(string id, ProofRuns runs)
    {
        if (runs.Enter(id) is not { } run)
            return Saving.NoSetup(id);
        run.Cancel();
        await run.Finished;
        return TypedResults.Ok(run.View());
    }

    private static IResult Export(HttpContext context, string id, string code, SetupStore store)
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (Find(code) is not { } promise)
            return NoPromise(code);
        var text = PromelaExport.Write(SignalPlan.Compile(stored.Setup), promise, 0, context.RequestAborted);
        return text is null
            ? Problem.NotFound("Nothing is explored for this promise, or it is too large to be written down.")
            : TypedResults.File(System.Text.Encoding.UTF8.GetBytes(text), "text/plain; charset=utf-8", $"{code}.pml");
    }

    private static async Task<IResult> FixesAsync(HttpContext context, string id, string code, ProofRuns runs)
    {
        if (runs.Enter(id) is not { } run)
            return Saving.NoSetup(id);
        if (Find(code) is not { } promise)
            return NoPromise(code);
        try
        {
            var fixes = await runs.FixesAsync(run, context.RequestAborted);
            return TypedResults.Ok(fixes.GetValueOrDefault(promise.Code, []).ToArray());
        }
        catch (OperationCanceledException) when (!context.RequestAborted.IsCancellationRequested)
        {
            return Problem.Of(
                StatusCodes.Status409Conflict,
                "The search was ended",
                "The setup was changed, or is proven anew, while fixes were tried. Ask again."
            );
        }
    }

    private static IResult Play(string id, string code, int step, ProofRuns runs, BenchRooms rooms)
    {
        if (runs.Enter(id) is not { } run || rooms.Enter(id) is not { } room)
            return Saving.NoSetup(id);
        if (run.VerdictOf(code)?.Path is not { Count: > 0 } path)
            return Problem.NotFound("There is no sequence to play.");
        if (step < 0 || step >= path.Count)
            return Problem.NotFound($"The sequence has steps 0 to {path.Count - 1}, not {step}.");
        room.Do(bench =>
        {
            var replay = new BenchReplay(bench, path);
            while (replay.Played < step)
                replay.Step();
            replay.LetGo();
            return true;
        });
        return TypedResults.Ok(room.Look("throttle"));
    }

    private static async Task<IResult> DecideAsync(
        HttpContext context,
        string id,
        string code,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<PromiseRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (Find(code) is not { } promise)
            return NoPromise(code);
        var note = wish.Note.Trim();
        var setting = wish.On && note.Length == 0 ? null : new PromiseSetting { On = wish.On, Note = note };
        return saving.Edit(context, id, setup => DecisionEdits.DecidePromise(setup, code, promise.Name, setting));
    }

    private static Promise? Find(string code) => PromiseList.All.FirstOrDefault(p => p.Code == code);

    private static IResult NoPromise(string code) => Problem.NotFound($"There is no promise \"{code}\".");
}
