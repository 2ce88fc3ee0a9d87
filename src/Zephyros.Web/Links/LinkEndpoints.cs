using Microsoft.AspNetCore.Mvc;
using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Evidence;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Units;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Links;

/// <summary>The radio link: systems to choose from, the quality on a channel, and the record of a bind.</summary>
internal static class LinkEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app, RouteGroupBuilder setups)
    {
        var profiles = app.MapGroup("/api/link-profiles");
        profiles.MapGet("", List).WithName("ListLinkProfiles").Produces<LinkProfileView[]>();
        profiles
            .MapPost("", PutAsync)
            .WithName("PutLinkProfile")
            .Accepts<LinkProfile>("application/json")
            .Answers<LinkProfileView>();
        profiles
            .MapDelete("/{profile}", Remove)
            .WithName("RemoveLinkProfile")
            .Produces(StatusCodes.Status204NoContent)
            .Produces<ProblemDetails>(StatusCodes.Status404NotFound, "application/problem+json");
        setups
            .MapPost("/{id}/link-profile", KeepAsync)
            .WithName("KeepLinkProfile")
            .Accepts<KeepProfileRequest>("application/json")
            .Answers<LinkProfileView>();
        setups
            .MapPut("/{id}/link-profile", UseAsync)
            .WithName("UseLinkProfile")
            .Accepts<UseProfileRequest>("application/json")
            .Changes();
        setups
            .MapPut("/{id}/quality", QualityAsync)
            .WithName("PutQualityOnChannel")
            .Accepts<QualityRequest>("application/json")
            .Changes();
        setups
            .MapPut("/{id}/range-check", RangeCheckAsync)
            .WithName("PutRangeCheck")
            .Accepts<RangeCheckRequest>("application/json")
            .Changes();
        setups.MapGet("/{id}/binds", Binds).WithName("ListBinds").Finds<BindView[]>();
        setups
            .MapPost("/{id}/binds", RecordAsync)
            .WithName("RecordBind")
            .Accepts<BindRecord>("application/json")
            .Answers<BindView>();
    }

    private static IEnumerable<LinkProfileView> All(LinkProfileStore store) =>
        LinkProfiles
            .BuiltIn.Select(p => new LinkProfileView(p, Own: false))
            .Concat(store.List().Select(p => new LinkProfileView(p, Own: true)));

    private static IResult List(LinkProfileStore store) => TypedResults.Ok(All(store).ToArray());

    private static async Task<IResult> PutAsync(HttpContext context, LinkProfileStore store, CancellationToken cancel)
    {
        var (profile, problem) = await RequestBody.ReadAsync<LinkProfile>(context.Request, cancel);
        return profile is null ? problem! : Keep(store, profile);
    }

    private static IResult Keep(LinkProfileStore store, LinkProfile profile)
    {
        if (LinkProfileCheck.Of(profile) is { Count: > 0 } problems)
            return Problem.Invalid("The profile cannot be kept", problems);
        if (store.Unreadable().Any(p => p.Id == profile.Id))
            return Problem.Of(
                StatusCodes.Status409Conflict,
                "The profile is not kept",
                $"A stored system \"{profile.Id}\" cannot be read and would be lost. Take its file away and remove it first."
            );
        store.Put(profile);
        return TypedResults.Ok(new LinkProfileView(profile, Own: true));
    }

    private static IResult Remove(string profile, LinkProfileStore store) =>
        store.Remove(profile)
            ? TypedResults.NoContent()
            : Problem.NotFound($"There is no profile \"{profile}\" of your own.");

    private static async Task<IResult> KeepAsync(
        HttpContext context,
        string id,
        SetupStore setups,
        LinkProfileStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<KeepProfileRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        if (setups.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        var all = All(store).Select(p => p.Profile).ToArray();
        var known = Array.Find(all, p => p.Id == stored.Setup.Air.Profile);
        // An id that cannot be read is taken too.
        var taken = all.Select(p => p.Id)
            .Concat(store.Unreadable().Select(p => p.Id))
            .ToHashSet(StringComparer.Ordinal);
        return Keep(store, LinkProfileCheck.From(stored.Setup, IdOf(wish.Name, taken), wish.Name.Trim(), known));
    }

    // The name in small letters and digits; numbered where it is taken.
    private static string IdOf(string name, IReadOnlySet<string> taken)
    {
        var letters = string.Concat(name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-'));
        var word = letters.Trim('-') is { Length: > 0 } trimmed ? trimmed[..Math.Min(trimmed.Length, 32)] : "link";
        return FreeId.Of(word, taken.Contains);
    }

    private static async Task<IResult> UseAsync(
        HttpContext context,
        string id,
        Saving saving,
        LinkProfileStore store,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<UseProfileRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        var profile = All(store).Select(p => p.Profile).FirstOrDefault(p => p.Id == wish.Profile);
        if (profile is null || wish.Mode >= profile.Modes.Length)
            return Problem.NotFound($"There is no mode {wish.Mode} of a profile \"{wish.Profile}\".");
        return saving.Edit(context, id, setup => AirEdits.UseProfile(setup, profile, profile.Modes[wish.Mode]));
    }

    private static async Task<IResult> RangeCheckAsync(
        HttpContext context,
        string id,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (found, problem) = await RequestBody.ReadAsync<RangeCheckRequest>(context.Request, cancel);
        return found is null
            ? problem!
            : saving.Edit(
                context,
                id,
                setup => AirEdits.RangeChecked(setup, new Percent(found.Quality), new Kilometres(found.Metres / 1000))
            );
    }

    private static async Task<IResult> QualityAsync(
        HttpContext context,
        string id,
        Saving saving,
        CancellationToken cancel
    )
    {
        var (wish, problem) = await RequestBody.ReadAsync<QualityRequest>(context.Request, cancel);
        if (wish is null)
            return problem!;
        return saving.Edit(context, id, setup => Quality(setup, wish));
    }

    // Null where the channel is used for something else, or there is no such sensor.
    private static SetupEdit? Quality(Setup setup, QualityRequest wish)
    {
        var number = new ChannelNumber(wish.Channel);
        var free = Core.Path.Budgets.QualityChannels.Free(setup).Any(c => c.Channel == number);
        return wish switch
        {
            _ when !free => null,
            { Way: QualityWay.Receiver } => QualityEdits.ByReceiver(setup, number),
            { Sensor: { } sensor } when setup.Model.Sensors.ContainsKey(sensor) => QualityEdits.ByTransmitter(
                setup,
                number,
                sensor
            ),
            _ => null,
        };
    }

    private static IResult Binds(string id, SetupStore store, EvidenceStore evidence) =>
        store.Find(id) is { } stored
            ? TypedResults.Ok(
                evidence.List<BindRecord>(id, EvidenceKind.Bind).Select(b => BindView.Of(b, stored.Setup)).ToArray()
            )
            : Saving.NoSetup(id);

    private static Task<IResult> RecordAsync(
        HttpContext context,
        string id,
        SetupStore store,
        EvidenceStore evidence
    ) =>
        Asking.AnswerAsync<BindRecord>(
            context,
            store,
            id,
            (record, setup) =>
                TypedResults.Ok(
                    BindView.Of(evidence.Add(id, EvidenceKind.Bind, record, EvidenceBasis.OfBind(setup)), setup)
                )
        );
}
