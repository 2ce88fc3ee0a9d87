using Zephyros.Core.Edits;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Setups;

/// <summary>Help with planning a model: ready-made chains, a look at a condition before it is saved, the table flight state x channel.</summary>
internal static class PlanningEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/ready-made", List).WithName("ListReadyMade").Finds<ReadyMadeView[]>();
        setups
            .MapPost("/{id}/ready-made/{chain}/preview", PreviewAsync)
            .WithName("PreviewReadyMade")
            .Accepts<ReadyMadeRequest>("application/json")
            .Finds<ReadyMadePreview>()
            .Produces<Microsoft.AspNetCore.Mvc.ProblemDetails>(
                StatusCodes.Status400BadRequest,
                "application/problem+json"
            );
        setups
            .MapPost("/{id}/ready-made/{chain}", BuildAsync)
            .WithName("BuildReadyMade")
            .Accepts<ReadyMadeRequest>("application/json")
            .Changes();
        setups
            .MapPost("/{id}/conditions/preview", PreviewConditionAsync)
            .WithName("PreviewCondition")
            .Accepts<ConditionPreviewRequest>("application/json")
            .Finds<ConditionPreview>();
        setups
            .MapPut("/{id}/state-table", PutTableAsync)
            .WithName("PutStateTable")
            .Accepts<StateTableRequest>("application/json")
            .Changes();
        setups.MapGet("/{id}/removals", AskRemoval).WithName("GetRemoval").Finds<Removal>();
    }

    private static IResult AskRemoval(string id, string place, SetupStore store) =>
        Asking.Answer(
            store,
            id,
            setup =>
                Removals.Of(setup, place) is { } removal
                    ? TypedResults.Ok(removal)
                    : Problem.NotFound($"There is nothing at {place} that can be removed.")
        );

    private static IResult List(string id, SetupStore store) =>
        store.Find(id) is { } stored
            ? TypedResults.Ok(ReadyMadeChains.All.Select(c => ReadyMadeView.Of(c, stored.Setup)).ToArray())
            : Saving.NoSetup(id);

    private static Task<IResult> PreviewAsync(HttpContext context, string id, string chain, SetupStore store) =>
        Asking.AnswerAsync<ReadyMadeRequest>(
            context,
            store,
            id,
            (wish, setup) => ReadyMadeChains.Find(chain) is { } made ? Preview(setup, made, wish) : NoChain(chain)
        );

    private static IResult Preview(Setup setup, IReadyMade made, ReadyMadeRequest wish)
    {
        var arguments = new Arguments(setup, made, wish.Arguments);
        return made.Build(setup, arguments) is { } built && arguments.Problems.Count == 0
            ? TypedResults.Ok(new ReadyMadePreview(built.Facts, ModelChanges.Between(setup, built.Setup)))
            : Problem.Invalid("Not all is filled in right", arguments.Problems);
    }

    private static async Task<IResult> BuildAsync(
        HttpContext context,
        string id,
        string chain,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<ReadyMadeRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (ReadyMadeChains.Find(chain) is not { } made)
            return NoChain(chain);
        IReadOnlyList<SetupProblem> problems = [];
        var answer = saving.Edit(
            context,
            id,
            setup =>
            {
                var arguments = new Arguments(setup, made, wish.Arguments);
                var built = made.Build(setup, arguments);
                problems = arguments.Problems;
                return built is null || problems.Count > 0
                    ? null
                    : SetupEdit.Between($"Build: {made.Title}", setup, built.Setup);
            }
        );
        return problems.Count > 0 ? Problem.Invalid("Not all is filled in right", problems) : answer;
    }

    private static Task<IResult> PreviewConditionAsync(HttpContext context, string id, SetupStore store) =>
        Asking.AnswerAsync<ConditionPreviewRequest>(
            context,
            store,
            id,
            (wish, setup) => TypedResults.Ok(ConditionPreview.Of(setup, wish.Id, wish.Condition))
        );

    private static async Task<IResult> PutTableAsync(
        HttpContext context,
        string id,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<StateTableRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        IReadOnlyList<SetupProblem> problems = [];
        var answer = saving.Edit(
            context,
            id,
            setup =>
            {
                var (edit, wrong) = StateTableEdit.Build(setup, wish.Table);
                problems = wrong;
                return edit;
            }
        );
        return problems.Count > 0 ? Problem.Invalid("The table does not fit", problems) : answer;
    }

    private static IResult NoChain(string chain) => Problem.NotFound($"There is no ready-made chain \"{chain}\".");
}
