using System.Text.Json;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Validation;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Setups;

/// <summary>Reads request bodies whole, up to a limit, and strictly.</summary>
internal static class RequestBody
{
    /// <summary>The largest body that is read, in bytes. A setup is about 10 kB.</summary>
    public const int Limit = 1024 * 1024;

    /// <summary>The bytes of a body.</summary>
    /// <returns>The bytes, or null when there are more than <see cref="Limit"/>.</returns>
    public static async Task<byte[]?> ReadAsync(HttpRequest request, CancellationToken cancel)
    {
        if (request.ContentLength > Limit)
            return null;
        using var bytes = new MemoryStream();
        var buffer = new byte[16 * 1024];
        int read;
        while ((read = await request.Body.ReadAsync(buffer, cancel)) > 0)
        {
            if (bytes.Length + read > Limit)
                return null;
            bytes.Write(buffer, 0, read);
        }

        return bytes.ToArray();
    }

    /// <summary>Reads a body as a contract.</summary>
    /// <returns>The value, or the problem to answer with.</returns>
    public static async Task<(T? Value, IResult? Problem)> ReadAsync<T>(HttpRequest request, CancellationToken cancel)
        where T : class
    {
        if (await ReadAsync(request, cancel) is not { } bytes)
            return (null, TooLarge());
        try
        {
            // A value inside an edit is a free tree; members given twice in it must be refused before it is made.
            using var whole = JsonDocument.Parse(
                bytes,
                new JsonDocumentOptions { MaxDepth = SetupJson.DeepestNesting, AllowDuplicateProperties = false }
            );
        }
        catch (JsonException error)
        {
            return (null, Problem.Invalid("Not understood", [new SetupProblem("", JsonPlace.SyntaxReason(error))]));
        }

        try
        {
            if (JsonSerializer.Deserialize<T>(bytes, SetupJson.Options) is not { } value)
                return (null, Problem.Invalid("Not understood", [new SetupProblem("", "The body must not be null.")]));
            var problems = new List<SetupProblem>();
            AnnotationCheck.Walk(value, "", problems);
            return problems.Count == 0 ? (value, null) : (null, Problem.Invalid("Not understood", problems));
        }
        catch (Exception error) when (JsonPlace.IsAbout(error))
        {
            return (null, Problem.Invalid("Not understood", [JsonPlace.Of(error)]));
        }
    }

    /// <summary>413.</summary>
    public static IResult TooLarge() =>
        Problem.Of(
            StatusCodes.Status413PayloadTooLarge,
            "Too large",
            $"A body may have {Limit / 1024} kB; a setup has about 10 kB."
        );
}
