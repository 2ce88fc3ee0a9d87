using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Setups;

/// <summary>The history of a craft: its revisions, their names, what differs between two of them, the way back to one; and the shelf for
/// craft that are put away.</summary>
internal static class HistoryEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app, RouteGroupBuilder setups)
    {
        app.MapGet("/api/put-away", (SetupStore store) => store.PutAway()).WithName("ListPutAway");
        setups.MapGet("/{id}/revisions", Revisions).WithName("ListRevisions").Finds<RevisionEntry[]>();
        setups.MapGet("/{id}/revisions/{number:int}", GetRevision).WithName("GetRevision").Finds<Setup>();
        setups.MapGet("/{id}/revisions/{number:int}/changes", Changes).WithName("ListChanges").Finds<SetupChange[]>();
        setups
            .MapPut("/{id}/revisions/{number:int}/name", NameAsync)
            .WithName("NameRevision")
            .Accepts<NameRequest>("application/json")
            .Answers<RevisionEntry[]>();
        setups.MapPost("/{id}/revisions/{number:int}/restore", Restore).WithName("RestoreRevision").Changes();
        setups
            .MapPost("/{id}/put-away", (string id, SetupStore store) => Shelve(store, id, true))
            .WithName("PutAway")
            .Leaves();
        setups
            .MapPost("/{id}/bring-back", (string id, SetupStore store) => Shelve(store, id, false))
            .WithName("BringBack")
            .Leaves();
    }

    private static IResult Revisions(string id, SetupStore store) =>
        store.History(id) is { Count: > 0 } history ? TypedResults.Ok(history) : Saving.NoSetup(id);

    private static IResult GetRevision(string id, int number, SetupStore store) =>
        store.At(id, number) is { } setup ? TypedResults.Ok(setup) : NoRevision(id, number);

    private static IResult Changes(string id, int number, int since, SetupStore store) =>
        (store.At(id, since), store.At(id, number)) switch
        {
            (null, _) => NoRevision(id, since),
            (_, null) => NoRevision(id, number),
            var (before, after) => TypedResults.Ok(SetupChanges.Between(before, after)),
        };

    private static async Task<IResult> NameAsync(
        HttpContext context,
        string id,
        int number,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<NameRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        return store.Name(id, number, wish.Name.Trim()) ? TypedResults.Ok(store.History(id)) : NoRevision(id, number);
    }

    private static IResult Restore(HttpContext context, string id, int number, SetupStore store, Saving saving) =>
        store.At(id, number) is { } then
            ? saving.Edit(
                context,
                id,
                now => SetupJson.Same(now, then) ? null : SetupEdit.Between($"Back to revision {number}", now, then)
            )
            : NoRevision(id, number);

    private static IResult Shelve(SetupStore store, string id, bool away) =>
        store.Shelve(id, away) ? TypedResults.NoContent() : Saving.NoSetup(id);

    private static IResult NoRevision(string id, int number) =>
        Problem.NotFound($"There is no revision {number} of \"{id}\".");
}
