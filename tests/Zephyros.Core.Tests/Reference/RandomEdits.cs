using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Tests.Reference;

/// <summary>Changes one place of a setup document, whatever it is: a number, a word, an id, a switch, a whole part taken away or put from
/// elsewhere.</summary>
internal sealed class RandomEdits(Random random)
{
    private const int Tries = 60;

    /// <summary>A setup that differs in one place and is valid; null when none was found.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="within">What the place begins with; empty for anywhere.</param>
    public (string Place, Setup Setup)? Of(Setup setup, string within = "")
    {
        for (var i = 0; i < Tries; i++)
        {
            // In an order of its own: the order of a dictionary is another in every process, and a seed would tell nothing.
            var document = JsonNode.Parse(CanonicalJson.Write(setup))!;
            var places = Places(document, "").ToArray();
            var meant = Array.FindAll(places, p => p.Place.StartsWith(within, StringComparison.Ordinal));
            var (place, parent, key, value) = meant[random.Next(meant.Length)];
            Put(parent, key, random.Next(8) == 0 ? null : Other(value, places.Select(p => p.Value).ToArray()));
            if (
                SetupJson.Read(document).Setup is { } changed
                && CanonicalJson.Write(changed) != CanonicalJson.Write(setup)
            )
                return (place, changed);
        }

        return null;
    }

    private static void Put(JsonNode parent, string key, JsonNode? value)
    {
        if (parent is JsonArray list)
        {
            var at = int.Parse(key, System.Globalization.CultureInfo.InvariantCulture);
            if (value is null)
                list.RemoveAt(at);
            else
                list[at] = value;
        }
        else if (value is null)
        {
            parent.AsObject().Remove(key);
        }
        else
        {
            parent[key] = value;
        }
    }

    private JsonNode? Other(JsonNode? value, JsonNode?[] all)
    {
        var kind = value?.GetValueKind() ?? JsonValueKind.Null;
        switch (kind)
        {
            case JsonValueKind.Number:
                var number = value!.GetValue<JsonElement>().GetDouble();
                return random.Next(4) switch
                {
                    0 => Math.Round(number) + random.Next(-3, 4),
                    1 => number + Math.Round(random.NextDouble() * 16 - 8, 1),
                    2 => -number,
                    _ => random.Next(-100, 101),
                };
            case JsonValueKind.True or JsonValueKind.False:
                return kind == JsonValueKind.False;
            default:
                // Another of the same kind from anywhere: so ids are exchanged for other ids, tests and steps for others.
                var same = all.Where(n =>
                        n is not null && n.GetValueKind() == (value is null ? JsonValueKind.String : kind)
                    )
                    .ToArray();
                return same.Length == 0 ? null : same[random.Next(same.Length)]!.DeepClone();
        }
    }

    private static IEnumerable<(string Place, JsonNode Parent, string Key, JsonNode? Value)> Places(
        JsonNode node,
        string place
    )
    {
        var members = node switch
        {
            JsonObject made => made.AsEnumerable(),
            JsonArray list => list.Select((n, i) => KeyValuePair.Create($"{i}", n)),
            _ => [],
        };
        foreach (var (key, value) in members)
        {
            yield return ($"{place}/{key}", node, key, value);
            if (value is JsonObject or JsonArray)
                foreach (var inner in Places(value, $"{place}/{key}"))
                    yield return inner;
        }
    }
}
