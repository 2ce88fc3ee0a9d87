using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Compares two setups in plain words.</summary>
public static class SetupChanges
{
    /// <summary>Every difference, in the order of the document; none when they say the same.</summary>
    public static IReadOnlyList<SetupChange> Between(Setup before, Setup after)
    {
        var (one, other) = (SetupJson.ToNode(before), SetupJson.ToNode(after));
        return
        [
            .. JsonPatch
                .Between(one, other)
                .Where(o => o.Op is not PatchKind.Test)
                .Select(o => Change(o.Path, one, other, before, after)),
        ];
    }

    private static SetupChange Change(string path, JsonNode one, JsonNode other, Setup before, Setup after)
    {
        var (where, unit) = FieldWords.Of(path, after, before);
        return new SetupChange(where, Told(At(one, path), unit), Told(At(other, path), unit));
    }

    private static JsonNode? At(JsonNode document, string path)
    {
        JsonNode? node = document;
        foreach (var part in path.Split('/')[1..])
            node = node is JsonObject found
                ? found[part.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal)]
                : null;
        return node;
    }

    private static string Told(JsonNode? value, string unit) =>
        value switch
        {
            null => "",
            JsonObject => "there",
            JsonArray { Count: var count } => count == 1 ? "1 entry" : $"{count} entries",
            _ => value.GetValueKind() switch
            {
                JsonValueKind.Number => $"{Figures.Plain(value.GetValue<double>())} {unit}".TrimEnd(),
                JsonValueKind.True => "yes",
                JsonValueKind.False => "no",
                JsonValueKind.String when value.GetValue<string>() is var text => text.Length == 0 ? "empty" : text,
                _ => value.ToJsonString(),
            },
        };
}
