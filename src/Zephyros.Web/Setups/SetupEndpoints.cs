using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Standing;

namespace Zephyros.Web.Setups;

/// <summary>Setups, their revisions and their edits.</summary>
internal static class SetupEndpoints
{
    private const int LongestTitle = 120;

    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/", (CraftStanding standing) => standing.Summaries()).WithName("ListSetups");
        setups.MapPost("/", ImportAsync).WithName("ImportSetup").Accepts<Setup>("application/json").Creates();
        setups.MapPost("/new", NewAsync).WithName("NewSetup").Accepts<NewSetupRequest>("application/json").Creates();
        setups.MapGet("/{id}", Get).WithName("GetSetup").Finds<SetupDocument>();
        setups.MapGet("/{id}/view", View).WithName("GetView").Finds<SetupView>();
        setups.MapGet("/{id}/export", Export).WithName("ExportSetup").Finds<Setup>();
        setups
            .MapPost("/{id}/copies", CopyAsync)
            .WithName("CopySetup")
            .Accepts<CopyRequest>("application/json")
            .Creates();
        setups.MapPost("/{id}/edits", EditAsync).WithName("EditSetup").Accepts<SetupEdit>("application/json").Changes();
        setups
            .MapPost(
                "/{id}/undo",
                (HttpContext context, string id, Saving saving) => saving.Step(context, id, undo: true)
            )
            .WithName("Undo")
            .Changes();
        setups
            .MapPost(
                "/{id}/redo",
                (HttpContext context, string id, Saving saving) => saving.Step(context, id, undo: false)
            )
            .WithName("Redo")
            .Changes();
        setups
            .MapGet("/{id}/proposals/channel-order/{order}", ProposeOrder)
            .WithName("ProposeOrder")
            .Finds<SetupEdit>();
    }

    private static async Task<IResult> ImportAsync(HttpContext context, SetupStore store, CancellationToken cancel)
    {
        if (await RequestBody.ReadAsync(context.Request, cancel) is not { } bytes)
            return RequestBody.TooLarge();
        var reading = SetupJson.Read(bytes);
        return reading.Setup is null
            ? Problem.Invalid("No valid setup", reading.Problems)
            : Created(store.Create(reading.Setup, "Loaded from a file"));
    }

    private static async Task<IResult> NewAsync(HttpContext context, SetupStore store, CancellationToken cancel)
    {
        var (wish, problem) = await RequestBody.ReadAsync<NewSetupRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (TransmitterShapes.Of(store).FirstOrDefault(t => t.Id == wish.Shape) is not { } shape)
            return Problem.Invalid(
                "No such transmitter",
                [new SetupProblem("/shape", $"There is no transmitter \"{wish.Shape}\" to start from.")]
            );
        var setup = NewSetup.For(wish.Name, shape.Transmitter);
        var wrong = SetupValidator.Check(setup);
        return wrong.Count > 0
            ? Problem.Invalid("No valid name", wrong)
            : Created(store.Create(setup, $"New on {shape.Name}"));
    }

    private static IResult Get(HttpContext context, string id, SetupStore store) =>
        store.Find(id) is { } stored ? Saving.Document(context, stored) : Saving.NoSetup(id);

    private static IResult View(string id, SetupStore store) =>
        store.Find(id) is { } stored ? TypedResults.Ok(SetupView.Of(stored.Setup)) : Saving.NoSetup(id);

    private static IResult Export(string id, SetupStore store) =>
        store.Find(id) is { } stored
            ? TypedResults.File(SetupJson.WriteIndented(stored.Setup), "application/json", $"{stored.Id}.zephyros.json")
            : Saving.NoSetup(id);

    private static async Task<IResult> CopyAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<CopyRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        var copy = NewSetup.Copy(stored.Setup, wish.Name);
        var wrong = SetupValidator.Check(copy);
        return wrong.Count > 0
            ? Problem.Invalid("No valid name", wrong)
            : Created(store.Create(copy, $"Copied from {stored.Setup.Craft.Name}"));
    }

    private static async Task<IResult> EditAsync(
        HttpContext context,
        string id,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (edit, problem) = await RequestBody.ReadAsync<SetupEdit>(context.Request, cancel);
        if (edit is null)
            return problem!;
        if (edit.Title.Length is 0 or > LongestTitle)
            return Problem.Invalid(
                "No valid title",
                [new SetupProblem("/title", $"Must have 1 to {LongestTitle} characters, not {edit.Title.Length}.")]
            );
        return saving.Edit(context, id, _ => edit);
    }

    private static IResult ProposeOrder(string id, string order, SetupStore store)
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (!StickOrder.TryParse(order, out var wanted, out var problem))
            return Problem.Invalid("No channel order", [new SetupProblem("/order", problem)]);
        return ModelEdits.SendOrder(stored.Setup, wanted) is { } edit
            ? TypedResults.Ok(edit)
            : Problem.Of(
                StatusCodes.Status409Conflict,
                "No order to change",
                "Channels 1 to 4 do not take the four sticks, each once."
            );
    }

    private static IResult Created(StoredSetup stored) =>
        TypedResults.Created($"/api/setups/{stored.Id}", SetupDocument.Of(stored));
}
