using System.Text;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Mvc;
using Zephyros.Core.Bench;
using Zephyros.Core.Captures;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Path;
using Zephyros.Core.Setups.Validation;
using Zephyros.Core.Wire;
using Zephyros.Storage;
using Zephyros.Web.Contracts;
using Zephyros.Web.Problems;
using Zephyros.Web.Setups;

namespace Zephyros.Web.Captures;

/// <summary>Recordings of the receiver's signal wire: recognise one, look at its frames, take one of the simulated receiver.</summary>
internal static class CaptureEndpoints
{
    // The body's own limit; the reader has its own for what is in it.
    private const long Limit = (50L << 20) + 1024;

    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app, RouteGroupBuilder setups)
    {
        setups
            .MapPost("/{id}/captures", RecogniseAsync)
            .WithName("RecogniseCapture")
            .Accepts<IFormFile>("application/octet-stream")
            .Finds<CaptureView>()
            .Produces<ProblemDetails>(StatusCodes.Status400BadRequest, "application/problem+json")
            .Produces<ProblemDetails>(StatusCodes.Status413PayloadTooLarge, "application/problem+json");
        setups
            .MapGet("/{id}/recording", Record)
            .WithName("RecordReceiver")
            .Produces<string>(contentType: "text/plain")
            .Produces<ProblemDetails>(StatusCodes.Status400BadRequest, "application/problem+json")
            .Produces<ProblemDetails>(StatusCodes.Status404NotFound, "application/problem+json");
        setups
            .MapGet(
                "/{id}/captures/{capture}/measurement",
                (string id, string capture, SetupStore store, CaptureShelf shelf, CancellationToken cancel) =>
                    LookAsync(
                        id,
                        capture,
                        store,
                        shelf,
                        (stored, line) => RecordedMeasurement.Of(SignalPlan.Compile(stored.Setup), line.Verdict),
                        cancel
                    )
            )
            .WithName("MeasureCapture")
            .Finds<RecordedMeasurement>();
        setups
            .MapGet(
                "/{id}/captures/{capture}/loss",
                (string id, string capture, SetupStore store, CaptureShelf shelf, CancellationToken cancel) =>
                    LookAsync(id, capture, store, shelf, RecordedLossView.Of, cancel)
            )
            .WithName("ReadLossInCapture")
            .Finds<RecordedLossView>();
        setups.MapGet("/{id}/captures/{capture}", Look).WithName("LookAtCapture").Finds<CaptureView>();
        app.MapGet("/api/captures/{capture}/frames/{frame:int}", Draw).WithName("DrawFrame").Finds<FrameDrawing>();
        app.MapGet("/api/wire-formats", () => WireFormats.All.Select(WireFormatView.Of).ToArray())
            .WithName("ListWireFormats");
    }

    private static async Task<IResult> RecogniseAsync(
        HttpContext context,
        string id,
        SetupStore store,
        CaptureShelf shelf,
        CancellationToken cancel
    )
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } feature)
            feature.MaxRequestBodySize = Limit;
        // Read twice and line by line, so it lies in a file.
        await using var file = UploadFile.Open();
        try
        {
            await context.Request.Body.CopyToAsync(file, cancel);
        }
        catch (BadHttpRequestException error) when (error.StatusCode == StatusCodes.Status413PayloadTooLarge)
        {
            return Problem.Of(error.StatusCode, "Too large", "A recording may have 50 MB. Record a shorter time.");
        }

        file.Position = 0;
        var reading = await Task.Run(() => CaptureFile.Read(file, cancel), cancel);
        if (reading.Problem is { } problem)
            return Problem.Of(
                StatusCodes.Status400BadRequest,
                "No recording",
                problem.Line > 0 ? $"Line {problem.Line}: {problem.Reason}" : problem.Reason,
                [new SetupProblem(problem.Line > 0 ? $"line {problem.Line}" : "", problem.Reason)]
            );
        var ids = shelf.Keep(reading.Lines);
        return TypedResults.Ok(CaptureView.Of(stored.Setup, ids[0], [.. ids.Zip(reading.Lines)], reading.NotLookedAt));
    }

    private static IResult Look(string id, string capture, SetupStore store, CaptureShelf shelf)
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        var lines = shelf.Beside(capture);
        return lines.Count > 0 ? TypedResults.Ok(CaptureView.Of(stored.Setup, capture, lines, [])) : PutAway();
    }

    // What takes a while to be found in a recording, for a setup.
    private static async Task<IResult> LookAsync<T>(
        string id,
        string capture,
        SetupStore store,
        CaptureShelf shelf,
        Func<StoredSetup, CapturedLine, T> look,
        CancellationToken cancel
    )
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        return shelf.Find(capture) is { } line
            ? TypedResults.Ok(await Task.Run(() => look(stored, line), cancel))
            : PutAway();
    }

    private static IResult Draw(string capture, int frame, CaptureShelf shelf) =>
        shelf.Find(capture) is { Capture: { } line, Verdict: var verdict }
        && FrameDrawing.Of(line, verdict, frame) is { } drawing
            ? TypedResults.Ok(drawing)
            : PutAway();

    /// <summary>404 for a recording that is no longer on the shelf.</summary>
    public static IResult PutAway() =>
        Problem.NotFound("There is no such recording or frame, or it was put away: drop it again.");

    private static IResult Record(
        string id,
        SetupStore store,
        string fault = "none",
        string format = "vcd",
        bool measuring = false
    )
    {
        if (store.Find(id) is not { } stored)
            return Saving.NoSetup(id);
        if (
            !Enum.TryParse<RecordingFault>(fault.Replace("-", "", StringComparison.Ordinal), true, out var wanted)
            || !Enum.IsDefined(wanted)
        )
            return Problem.Invalid(
                "No such fault",
                [
                    new SetupProblem(
                        "/fault",
                        "A recording is made with the fault none, flipped, loose-wire, link-away or transmitter-off."
                    ),
                ]
            );
        var recording = measuring
            ? ReceiverRecording.OfMeasuring(stored.Setup)
            : ReceiverRecording.Of(stored.Setup, wanted);
        var (text, type, ending) =
            format == "csv"
                ? (CaptureWriter.ToCsv(recording), "text/csv", "csv")
                : (CaptureWriter.ToVcd(recording), "text/plain", "vcd");
        return TypedResults.File(Encoding.ASCII.GetBytes(text), type, $"{id}-receiver.{ending}");
    }
}
