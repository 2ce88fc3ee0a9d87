using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Core.Tests.Setups;

/// <summary>How far each number of a document may go, how long each text may be and how many of a kind there may be: searched by trying, in
/// a document that holds about everything once, and recorded.</summary>
public sealed partial class ValidRangesRecordedTests
{
    private const double Far = 2_000_000;
    private const double Fine = 0.01;
    private const int Longest = 2_000;

    [Fact]
    public void Numbers_and_texts_may_go_as_far_as_they_did() => Recorded.AssertSame("valid-ranges", Lines());

    private static IEnumerable<string> Lines()
    {
        var done = new HashSet<string>(StringComparer.Ordinal);
        foreach (var name in Demo.Names.Select(n => n.Data).Order(StringComparer.Ordinal))
        {
            var document = JsonNode.Parse(Encoding.UTF8.GetString(SetupJson.WriteIndented(Demo.Load(name))))!;
            foreach (var (owner, key, place) in Places(document, "").ToArray())
                if (done.Add(Kind(place)) && Range(document, owner, key) is { } range)
                    yield return $"{Kind(place)}: {range}";
        }
    }

    private static string? Range(JsonNode document, JsonNode owner, object key)
    {
        var value = owner is JsonObject made ? made[(string)key] : owner[(int)key];
        bool Accepts(JsonNode? other)
        {
            Put(owner, key, other);
            var valid = SetupJson.Read(Encoding.UTF8.GetBytes(document.ToJsonString())).Problems.Count == 0;
            return valid;
        }

        try
        {
            return value?.GetValueKind() switch
            {
                System.Text.Json.JsonValueKind.Number => Numbers(value.GetValue<double>(), x => Accepts(x)),
                System.Text.Json.JsonValueKind.String => Texts(value.GetValue<string>(), x => Accepts(x)),
                _ => null,
            };
        }
        finally
        {
            Put(owner, key, value);
        }
    }

    // From a value that is accepted outwards to the last one that is; whole numbers where no others are accepted.
    private static string Numbers(double start, Func<double, bool> accepts)
    {
        var whole = !accepts(start + 0.5) && !accepts(start - 0.5);
        var step = whole ? 1 : Fine;
        double Last(int direction)
        {
            var (inside, outside) = (0L, (long)(Far / step));
            if (accepts(start + (direction * outside * step)))
                return direction * double.PositiveInfinity;
            while (outside - inside > 1)
            {
                var middle = (inside + outside) / 2;
                (inside, outside) = accepts(Math.Round(start + (direction * middle * step), 6))
                    ? (middle, outside)
                    : (inside, middle);
            }

            return Math.Round(start + (direction * inside * step), 6);
        }

        return string.Create(CultureInfo.InvariantCulture, $"{Last(-1)} to {Last(1)}{(whole ? ", whole" : "")}");
    }

    private static string Texts(string start, Func<string, bool> accepts)
    {
        if (!accepts(start + "a"))
            return accepts("") ? "a word or nothing" : "a word";
        var (inside, outside) = (start.Length + 1, Longest);
        while (outside - inside > 1)
        {
            var middle = (inside + outside) / 2;
            (inside, outside) = accepts(new string('a', middle)) ? (middle, outside) : (inside, middle);
        }

        return $"up to {inside} characters{(accepts("") ? ", or none" : "")}{(accepts("a\u0007") ? ", control characters" : "")}";
    }

    private static void Put(JsonNode owner, object key, JsonNode? value)
    {
        if (owner is JsonObject made)
            made[(string)key] = value;
        else
            owner[(int)key] = value;
    }

    private static IEnumerable<(JsonNode Owner, object Key, string Place)> Places(JsonNode node, string place) =>
        node switch
        {
            JsonObject made => made.SelectMany(m => Place(made, m.Key, m.Value, $"{place}/{m.Key}")),
            JsonArray list => list.SelectMany((v, i) => Place(list, i, v, $"{place}/{i}")),
            _ => [],
        };

    private static IEnumerable<(JsonNode Owner, object Key, string Place)> Place(
        JsonNode owner,
        object key,
        JsonNode? value,
        string place
    ) =>
        value is JsonValue ? [(owner, key, place)]
        : value is null ? []
        : Places(value, place);

    // Ids and places in lists do not matter.
    private static string Kind(string place) => Ids().Replace(place, "${of}/*");

    [GeneratedRegex(
        @"(?<of>/(controls|channels|steps|conditions|states|overrides|announcements|sensors|trims|ports|functions|spans|wander|presets|channelSteps|modules|justified|promises|values|of|set|clear|readings|points|positions|planned))/[^/]+",
        RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Ids();
}
