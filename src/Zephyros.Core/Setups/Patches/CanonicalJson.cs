using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Setups.Json;

namespace Zephyros.Core.Setups.Patches;

/// <summary>One text for one meaning: members sorted, no white space, numbers in their shortest form (in the manner of RFC 8785).</summary>
/// <remarks>Numbers between 1e-6 and 1e21 in size, which hold everything a setup may contain, are written as ECMAScript does;
/// others keep .NET's shortest round-trip form.</remarks>
public static class CanonicalJson
{
    /// <summary>The canonical text of a setup.</summary>
    public static string Write(Setup setup) => Write(SetupJson.ToNode(setup));

    /// <summary>The canonical text of a JSON tree.</summary>
    public static string Write(JsonNode? node)
    {
        var text = new StringBuilder();
        Append(node, text);
        return text.ToString();
    }

    /// <summary>The SHA-256 of a canonical text, as 64 small hexadecimal digits.</summary>
    public static string Hash(string canonical) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(canonical)));

    private static void Append(JsonNode? node, StringBuilder text)
    {
        switch (node)
        {
            case null:
                text.Append("null");
                break;
            case JsonObject members:
                AppendList(
                    '{',
                    members.OrderBy(m => m.Key, StringComparer.Ordinal),
                    '}',
                    text,
                    member =>
                    {
                        AppendString(member.Key, text);
                        text.Append(':');
                        Append(member.Value, text);
                    }
                );
                break;
            case JsonArray items:
                AppendList('[', items, ']', text, item => Append(item, text));
                break;
            case JsonValue value:
                AppendValue(value, text);
                break;
        }
    }

    private static void AppendList<T>(char open, IEnumerable<T> items, char close, StringBuilder text, Action<T> append)
    {
        text.Append(open);
        var first = true;
        foreach (var item in items)
        {
            if (!first)
                text.Append(',');
            first = false;
            append(item);
        }

        text.Append(close);
    }

    private static void AppendValue(JsonValue value, StringBuilder text)
    {
        switch (value.GetValueKind())
        {
            case JsonValueKind.String:
                AppendString(value.GetValue<string>(), text);
                break;
            case JsonValueKind.Number:
                var number = JsonSerializer.Deserialize<double>(value.ToJsonString());
                text.Append(number == 0 ? "0" : Number(number));
                break;
            default:
                text.Append(value.ToJsonString());
                break;
        }
    }

    private static string Number(double number)
    {
        var size = Math.Abs(number);
        var shortest = number.ToString("R", CultureInfo.InvariantCulture);
        return size is >= 1e-6 and < 1e21 && shortest.Contains('E', StringComparison.Ordinal)
            ? decimal.Parse(shortest, NumberStyles.Float, CultureInfo.InvariantCulture)
                .ToString(CultureInfo.InvariantCulture)
            : shortest;
    }

    private static void AppendString(string value, StringBuilder text) =>
        text.Append('"').Append(JavaScriptEncoder.UnsafeRelaxedJsonEscaping.Encode(value)).Append('"');
}
