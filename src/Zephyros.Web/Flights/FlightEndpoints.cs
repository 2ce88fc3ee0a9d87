using System.Text;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Zephyros.Core.Flights;
using Zephyros.Core.Flights.Invented;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Setups.Validation;
using Zephyros.Storage;
using Zephyros.Web.Captures;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Flights;

/// <summary>Recorded flights: read one, say what its columns are, draw it.</summary>
internal static class FlightEndpoints
{
    private const int MostBins = 2000;

    // The seed of the flights that come with the program.
    private const ulong Seed = 1;

    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app, RouteGroupBuilder setups)
    {
        setups.MapGet("/{id}/flights", List).WithName("ListFlights").Finds<FlightView[]>();
        setups
            .MapPost("/{id}/flights", DropAsync)
            .WithName("DropFlight")
            .Accepts<IFormFile>("application/octet-stream")
            .Finds<FlightView>()
            .Produces<ProblemDetails>(StatusCodes.Status413PayloadTooLarge, "application/problem+json");
        setups.MapPost("/{id}/invented-flights/{kind}", InventAsync).WithName("InventFlight").Finds<FlightView>();
        setups
            .MapGet("/{id}/invented-flights/{kind}", Show)
            .WithName("ShowInventedFlight")
            .Produces<string>(contentType: "text/csv")
            .Produces<ProblemDetails>(StatusCodes.Status404NotFound, "application/problem+json");
        app.MapGet("/api/flight-columns", () => Choices).WithName("ListFlightColumns");
        app.MapPut("/api/flights/{flight}/columns", TellAsync)
            .WithName("TellColumns")
            .Accepts<ColumnsRequest>("application/json")
            .Answers<FlightView>();
        app.MapGet("/api/flights/{flight}/drawing", Draw).WithName("DrawFlight").Finds<FlightDrawing>();
        app.MapDelete("/api/flights/{flight}", Remove).WithName("RemoveFlight");
    }

    private static ColumnChoice[] Choices { get; } =
    [
        .. Enum.GetValues<ColumnMeaning>()
            .Select(m => new ColumnChoice(m, m.Words(), [.. ColumnUnits.Of(m).Select(u => u.Symbol)])),
    ];

    /// <summary>404 for a flight that is no longer on the shelf.</summary>
    public static IResult PutAway() => Problem.NotFound("There is no such flight, or it was put away: drop it again.");

    private static IResult List(string id, SetupStore store, FlightShelf shelf) =>
        Asking.Answer(store, id, _ => TypedResults.Ok(shelf.Of(id).Select(FlightView.Of).ToArray()));

    private static async Task<IResult> DropAsync(
        HttpContext context,
        string id,
        string name,
        SetupStore store,
        FlightShelf shelf,
        CancellationToken cancel
    )
    {
        if (store.Find(id) is null)
            return Saving.NoSetup(id);
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } feature)
            feature.MaxRequestBodySize = FlightLimits.Bytes + 1024;
        var file = UploadFile.Open();
        try
        {
            await context.Request.Body.CopyToAsync(file, cancel);
        }
        catch (Exception error) when (error is BadHttpRequestException or IOException or OperationCanceledException)
        {
            await file.DisposeAsync();
            if (error is BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge and var code })
                return Problem.Of(code, "Too large", $"A recorded flight may have {FlightLimits.Bytes >> 20} MB.");
            throw;
        }

        return Kept(shelf, id, name, file);
    }

    private static async Task<IResult> InventAsync(
        string id,
        string kind,
        SetupStore store,
        FlightShelf shelf,
        CancellationToken cancel
    )
    {
        if (store.Find(id) is not { Setup: var setup })
            return Saving.NoSetup(id);
        if (Kind(kind) is not { } wanted)
            return NoKind();
        var file = UploadFile.Open();
        await file.WriteAsync(Encoding.UTF8.GetBytes(InventedFlight.Csv(setup, wanted, Seed)), cancel);
        return Kept(shelf, id, $"Invented: {Words(wanted)}", file);
    }

    private static IResult Show(string id, string kind, SetupStore store) =>
        Asking.Answer(
            store,
            id,
            setup =>
                Kind(kind) is { } wanted
                    ? TypedResults.File(
                        Encoding.UTF8.GetBytes(InventedFlight.Csv(setup, wanted, Seed)),
                        "text/csv",
                        $"{id}-invented-{kind}.csv"
                    )
                    : NoKind()
        );

    private static IResult Kept(FlightShelf shelf, string id, string name, FileStream file) =>
        TypedResults.Ok(FlightView.Of(shelf.Keep(new ShelvedFlight(id, name.Length <= 80 ? name : name[..80], file))));

    private static async Task<IResult> TellAsync(HttpContext context, string flight, FlightShelf shelf)
    {
        var (asked, problem) = await RequestBody.ReadAsync<ColumnsRequest>(context.Request, context.RequestAborted);
        if (asked is null)
            return problem!;
        if (shelf.Find(flight) is not { } found)
            return PutAway();
        SetupProblem[] wrong =
        [
            .. asked
                .Columns.Select((c, i) => (Column: c, Place: i))
                .Where(c => c.Column.Unit is { } unit && ColumnUnits.Find(c.Column.Meaning, unit) is null)
                .Select(c => new SetupProblem(
                    $"/columns/{c.Place}/unit",
                    $"A column for {c.Column.Meaning.Words()} has no unit “{c.Column.Unit}”."
                )),
        ];
        if (wrong.Length > 0)
            return Problem.Invalid("No such unit", wrong);
        found.Tell(
            asked
                .Columns.GroupBy(c => c.Index)
                .ToDictionary(g => g.Key, g => new ColumnTold(g.Last().Meaning, g.Last().Unit))
        );
        return TypedResults.Ok(FlightView.Of(found));
    }

    private static IResult Draw(string flight, double from, double to, int bins, FlightShelf shelf)
    {
        if (shelf.Find(flight)?.Work.Result?.Recording is not { } recording)
            return PutAway();
        if (bins is < 1 or > MostBins || !(from < to) || !double.IsFinite(to - from))
            return Problem.Invalid(
                "Nothing to draw",
                [new SetupProblem("", $"A stretch ends after its beginning, and has 1 to {MostBins} parts.")]
            );
        var end = recording.End.TotalSeconds;
        return TypedResults.Ok(
            FlightDrawing.Of(
                recording,
                TimeSpan.FromSeconds(Math.Clamp(from, 0, end)),
                TimeSpan.FromSeconds(Math.Clamp(to, 0, end)),
                bins
            )
        );
    }

    private static NoContent Remove(string flight, FlightShelf shelf)
    {
        shelf.Remove(flight);
        return TypedResults.NoContent();
    }

    private static InventedKind? Kind(string name) =>
        Enum.TryParse<InventedKind>(name.Replace("-", "", StringComparison.Ordinal), true, out var kind)
        && Enum.IsDefined(kind)
            ? kind
            : null;

    private static IResult NoKind() =>
        Problem.NotFound("There is no such flight: they are called gusts, worn-battery and fade.");

    private static string Words(InventedKind kind) =>
        kind switch
        {
            InventedKind.Gusts => "much throttle in gusts",
            InventedKind.WornBattery => "a worn battery",
            InventedKind.Fade => "calm and far, with a fade",
        };
}
