using System.Globalization;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Setups;

/// <summary>Everything that writes a revision goes through here: the check of If-Match, the store, the bench, the answer.</summary>
internal sealed class Saving(SetupStore store, BenchRooms benches)
{
    /// <summary>Applies an edit that is made from the current state.</summary>
    public IResult Edit(HttpContext context, string id, Func<Setup, SetupEdit?> make)
    {
        if (Revision(context, out var refusal) is not { } revision)
            return refusal!;
        if (store.Find(id) is not { } current)
            return NoSetup(id);
        if (current.Revision != revision)
            return Stale(current);
        if (make(current.Setup) is not { } edit)
            return Problem.NotFound("There is no such edit for this setup now.");
        return Apply(current.Setup, edit, out refusal) is { } next
            ? Answer(context, current.Id, store.Save(current.Id, current.Revision, next, edit.Title), "change")
            : refusal!;
    }

    /// <summary>Undoes or redoes.</summary>
    public IResult Step(HttpContext context, string id, bool undo)
    {
        if (Revision(context, out var refusal) is not { } revision)
            return refusal!;
        return Answer(context, id, undo ? store.Undo(id, revision) : store.Redo(id, revision), undo ? "undo" : "redo");
    }

    /// <summary>404 for a setup.</summary>
    public static IResult NoSetup(string id) => Problem.NotFound($"There is no setup \"{id}\".");

    /// <summary>What a setup is after an edit; null, and why, when it does not apply or leads to no valid one.</summary>
    public static Setup? Apply(Setup current, SetupEdit edit, out IResult? refusal)
    {
        try
        {
            var reading = edit.ApplyTo(current);
            refusal = reading.Setup is null
                ? Problem.Invalid("The edit leads to no valid setup", reading.Problems, current)
                : null;
            return reading.Setup;
        }
        catch (PatchException error)
        {
            SetupProblem[] places = [new(error.Place, error.Message)];
            refusal = error.IsTest
                ? Problem.Of(
                    StatusCodes.Status409Conflict,
                    "The setup has changed",
                    $"{Problem.Words(error.Place, current)}: {error.Message}",
                    places
                )
                : Problem.Invalid("The edit does not apply", places, current);
            return null;
        }
    }

    private IResult Answer(HttpContext context, string id, SaveResult result, string what)
    {
        switch (result.Outcome)
        {
            case SaveOutcome.NotFound:
                return NoSetup(id);
            case SaveOutcome.Stale:
                return Stale(result.Current!);
            case SaveOutcome.NothingToDo:
                return Problem.Of(StatusCodes.Status409Conflict, $"Nothing to {what}", $"There is nothing to {what}.");
            default:
                benches.Refresh(result.Current!);
                return Document(context, result.Current!);
        }
    }

    /// <summary>A setup with its revision as ETag.</summary>
    public static IResult Document(HttpContext context, StoredSetup stored)
    {
        context.Response.Headers.ETag = Tag(stored.Revision);
        return TypedResults.Ok(SetupDocument.Of(stored));
    }

    private static string Tag(int revision) => string.Create(CultureInfo.InvariantCulture, $"\"{revision}\"");

    private static IResult Stale(StoredSetup current) =>
        Problem.Of(
            StatusCodes.Status412PreconditionFailed,
            "The setup has changed",
            $"It stands at revision {current.Revision} now; nothing was saved."
        );

    private static int? Revision(HttpContext context, out IResult? refusal)
    {
        var tag = context.Request.Headers.IfMatch.ToString();
        refusal = tag.Length switch
        {
            0 => Problem.Of(
                StatusCodes.Status428PreconditionRequired,
                "Revision missing",
                "Send the revision that the change starts from as If-Match."
            ),
            _ => Problem.Of(
                StatusCodes.Status400BadRequest,
                "Revision not understood",
                $"If-Match must be a revision in quotes, not {tag}."
            ),
        };
        return
            tag is ['"', .. var number, '"']
            && int.TryParse(number, NumberStyles.None, CultureInfo.InvariantCulture, out var revision)
            ? revision
            : null;
    }
}
