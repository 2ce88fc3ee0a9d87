using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Symptoms;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Setups;

/// <summary>Findings, their fixes and their justifications; and what may be behind a symptom.</summary>
internal static class FindingEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/findings", List).WithName("ListFindings").Finds<Finding[]>();
        setups.MapGet("/{id}/symptoms", Symptoms).WithName("ListSymptoms").Finds<Symptom[]>();
        setups.MapPost("/{id}/findings/{key}/fixes/{fix}", Apply).WithName("ApplyFix").Changes();
        setups
            .MapPut("/{id}/findings/{key}/justification", JustifyAsync)
            .WithName("JustifyFinding")
            .Accepts<JustificationRequest>("application/json")
            .Changes();
    }

    private static IResult List(string id, SetupStore store, KnownFindings findings) =>
        store.Find(id) is { } stored ? TypedResults.Ok(findings.Of(stored.Setup)) : Saving.NoSetup(id);

    private static IResult Symptoms(string id, SetupStore store) =>
        store.Find(id) is { } stored ? TypedResults.Ok(SymptomList.For(stored.Setup).ToArray()) : Saving.NoSetup(id);

    private static IResult Apply(
        HttpContext context,
        string id,
        string key,
        string fix,
        Saving saving,
        KnownFindings findings
    ) => saving.Edit(context, id, setup => Find(findings.Of(setup), key)?.Fixes.FirstOrDefault(f => f.Id == fix)?.Edit);

    private static async Task<IResult> JustifyAsync(
        HttpContext context,
        string id,
        string key,
        Saving saving,
        KnownFindings findings,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<JustificationRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        return saving.Edit(
            context,
            id,
            setup =>
                Find(findings.Of(setup), key) is { MayBeJustified: true }
                    ? DecisionEdits.Justify(setup, key, wish.Note.Trim())
                    : null
        );
    }

    private static Finding? Find(IEnumerable<Finding> findings, string key) =>
        findings.FirstOrDefault(f => f.Key == key);
}
