using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Work;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Standing;

/// <summary>The one verdict on a craft, what remains to be done on it, and the ticks of what was done.</summary>
internal static class StandingEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/verdict", Verdict).WithName("GetVerdict").Finds<VerdictView>();
        setups.MapGet("/{id}/work", Work).WithName("GetWork").Finds<WorkView>();
        setups
            .MapPost("/{id}/steps/{step}/{item}", TickAsync)
            .WithName("TickWork")
            .Accepts<TickRequest>("application/json")
            .Answers<WorkView>();
    }

    private static IResult Verdict(string id, SetupStore store, CraftStanding standing) =>
        store.Find(id) is { } stored ? TypedResults.Ok(standing.Verdict(stored)) : Saving.NoSetup(id);

    private static IResult Work(string id, SetupStore store, CraftStanding standing) =>
        store.Find(id) is { } stored ? TypedResults.Ok(standing.Work(stored)) : Saving.NoSetup(id);

    // Each names the revision that the pilot has looked at: what was changed after that makes it stale.
    private static async Task<IResult> TickAsync(
        HttpContext context,
        string id,
        string step,
        string item,
        int revision,
        SetupStore store,
        EvidenceStore evidence,
        CraftStanding standing,
        CancellationToken cancel
    )
    {
        var (tick, problem) = await RequestBody.ReadAsync<TickRequest>(context.Request, cancel);
        if (tick is null)
            return problem!;
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (store.At(id, revision) is not { } seen)
            return Problem.NotFound($"There is no revision {revision} of \"{id}\".");
        if (WorkList.Rules.OfType<TickRule>().FirstOrDefault(r => r.Id == step) is not { } rule)
            return Problem.NotFound($"There is no step \"{step}\" that is ticked.");
        if (rule.Deeds(SignalPlan.Compile(seen)).FirstOrDefault(d => d.Id == item) is not { } deed)
            return Problem.NotFound($"The step \"{step}\" has no \"{item}\" in revision {revision}.");
        evidence.Add(
            id,
            Kind(rule.ShownBy),
            new TickRecord
            {
                Step = step,
                Item = item,
                Do = deed.Do,
                Expected = deed.Expected,
                AsExpected = tick.AsExpected && TickRule.InTime(deed, tick.After),
                Seen = tick.Seen.Trim(),
                After = tick.After,
            },
            rule.BasisOf(deed)
        );
        return TypedResults.Ok(standing.Work(stored));
    }

    private static EvidenceKind Kind(ShownBy shown) =>
        shown switch
        {
            ShownBy.Stored => EvidenceKind.Stored,
            ShownBy.ReadBack => EvidenceKind.ReadBack,
            ShownBy.Tried => EvidenceKind.Tried,
            ShownBy.Computed or ShownBy.Bound or ShownBy.Measured => throw new ArgumentOutOfRangeException(
                nameof(shown)
            ),
        };
}
