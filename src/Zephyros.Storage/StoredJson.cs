using System.Text.Json;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Storage;

/// <summary>Reads texts that were stored, which may be damaged or of another version.</summary>
internal static class StoredJson
{
    /// <summary>What a text says, or why it cannot be read, with the place.</summary>
    public static (T? Value, string? Reason) Read<T>(string text)
        where T : class
    {
        try
        {
            return JsonSerializer.Deserialize<T>(text, SetupJson.Options) is { } value
                ? (value, null)
                : (null, "It is null.");
        }
        catch (Exception error) when (JsonPlace.IsAbout(error))
        {
            return (null, Told(JsonPlace.Of(error)));
        }
    }

    /// <summary>A problem with its place, in words.</summary>
    public static string Told(SetupProblem problem) =>
        problem.Place.Length > 0 ? $"At {problem.Place}: {problem.Reason}" : problem.Reason;

    /// <summary>What to call a document that cannot be read: the text at a place, when there is one; otherwise its id.</summary>
    public static string Name(string document, string id, params string[] place)
    {
        try
        {
            using var parsed = JsonDocument.Parse(document);
            var found = parsed.RootElement;
            foreach (var name in place)
                if (found.ValueKind != JsonValueKind.Object || !found.TryGetProperty(name, out found))
                    return id;
            return found.ValueKind == JsonValueKind.String ? found.GetString()! : id;
        }
        catch (Exception error) when (error is JsonException or InvalidOperationException)
        {
            return id;
        }
    }
}
