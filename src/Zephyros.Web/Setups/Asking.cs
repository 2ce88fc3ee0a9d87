using Zephyros.Core.Setups;
using Zephyros.Storage;

namespace Zephyros.Web.Setups;

/// <summary>Questions about a setup: nothing is saved by them.</summary>
internal static class Asking
{
    /// <summary>Answers a question about a setup.</summary>
    public static IResult Answer(SetupStore store, string id, Func<Setup, IResult> answer) =>
        store.Find(id) is { Setup: var setup } ? answer(setup) : Saving.NoSetup(id);

    /// <summary>Reads what is asked, and answers it.</summary>
    public static async Task<IResult> AnswerAsync<T>(
        HttpContext context,
        SetupStore store,
        string id,
        Func<T, Setup, IResult> answer
    )
        where T : class
    {
        var (asked, problem) = await RequestBody.ReadAsync<T>(context.Request, context.RequestAborted);
        return asked is null ? problem! : Answer(store, id, setup => answer(asked, setup));
    }
}
