using System.Text;
using System.Text.Json;
using Zephyros.Core.Setups.Json;
using Zephyros.Storage;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Setups;

/// <summary>What is stored and cannot be read, and each stored document as it is.</summary>
internal static class SalvageEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app)
    {
        app.MapGet("/api/unreadable", (Salvage salvage) => salvage.List()).WithName("ListUnreadable");
        app.MapGet("/api/stored/{kind}/{id}", Text).WithName("GetStoredText").Finds<string>();
    }

    private static IResult Text(string kind, string id, Salvage salvage) =>
        Enum.GetValues<DocumentKind>().Where(k => Word(k) == kind).Select(k => salvage.Text(k, id)).FirstOrDefault()
            is { } text
            ? TypedResults.File(Encoding.UTF8.GetBytes(text), "text/plain", $"{kind}-{id}.as-stored.json")
            : Problem.NotFound($"There is no stored {kind} \"{id}\".");

    private static string Word(DocumentKind kind) =>
        JsonSerializer.SerializeToNode(kind, SetupJson.Options)!.GetValue<string>();
}
