using Zephyros.Core.Bench.Ahead;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Verdicts;
using Zephyros.Storage;
using Zephyros.Web.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Proofs;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Standing;

/// <summary>What an edit would change, looked at before it is made.</summary>
internal static class LookAheadEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups
            .MapPost("/{id}/look-ahead", LookAsync)
            .WithName("LookAhead")
            .Accepts<SetupEdit>("application/json")
            .Answers<LookAheadView>();
        setups
            .MapPost("/{id}/look-ahead/verdict", JudgeAsync)
            .WithName("JudgeAhead")
            .Accepts<SetupEdit>("application/json")
            .Answers<VerdictAheadView>();
    }

    private static async Task<IResult> LookAsync(
        HttpContext context,
        string id,
        string follow,
        SetupStore store,
        BenchRooms rooms,
        CancellationToken cancel
    )
    {
        var (edit, problem) = await RequestBody.ReadAsync<SetupEdit>(context.Request, cancel);
        if (edit is null)
            return problem!;
        if (store.Find(id) is not { } stored || rooms.Enter(id) is not { } room)
            return Saving.NoSetup(id);
        if (Saving.Apply(stored.Setup, edit, out var refusal) is not { } next)
            return refusal!;
        // The copy is looked at, and the bench goes on.
        var bench = room.Do(bench => bench.Fork());
        return TypedResults.Ok(
            new LookAheadView(
                stored.Revision,
                SetupChanges.Between(stored.Setup, next),
                LookAhead.Of(bench, next, follow)
            )
        );
    }

    private static async Task<IResult> JudgeAsync(
        HttpContext context,
        string id,
        SetupStore store,
        KnownFindings findings,
        ProofRuns runs,
        CancellationToken cancel
    )
    {
        var (edit, problem) = await RequestBody.ReadAsync<SetupEdit>(context.Request, cancel);
        if (edit is null)
            return problem!;
        if (store.Find(id) is not { } stored || runs.Enter(id) is not { } run)
            return Saving.NoSetup(id);
        if (Saving.Apply(stored.Setup, edit, out var refusal) is not { } next)
            return refusal!;
        var ahead = runs.Ahead(stored, next, run.Wish);
        var (before, after) = (run.Standings(out var running), ahead.Standings(out var runningAhead));
        return TypedResults.Ok(
            new VerdictAheadView(
                stored.Revision,
                running || runningAhead,
                VerdictAhead.Of((findings.Untried(stored.Setup), findings.Untried(next)), (before, after))
            )
        );
    }
}
