using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Setups.Json;

/// <summary>Reads and writes setup documents. Reading is strict: unknown members, members given twice and missing ones are refused,
/// and every refusal names its place.</summary>
public static class SetupJson
{
    /// <summary>How deep a document may nest. A setup needs about eight levels.</summary>
    public const int DeepestNesting = 32;

    /// <summary>The serialiser's settings for setups, and for everything that the web layer sends.</summary>
    public static JsonSerializerOptions Options { get; } = CreateOptions();

    /// <summary>True when two parts of a setup say the same; records with collections only compare these by reference.</summary>
    public static bool Same<T>(T one, T other) =>
        ReferenceEquals(one, other)
        || JsonNode.DeepEquals(
            JsonSerializer.SerializeToNode(one, Options),
            JsonSerializer.SerializeToNode(other, Options)
        );

    /// <summary>Reads a document and checks it.</summary>
    /// <param name="utf8">The document's bytes.</param>
    public static SetupReading Read(ReadOnlyMemory<byte> utf8) => Read(utf8, SetupVersions.All);

    internal static SetupReading Read(ReadOnlyMemory<byte> utf8, SetupVersions versions)
    {
        // Syntax, format and version first, so that another kind of document is told so instead of being told of its members.
        try
        {
            using var document = JsonDocument.Parse(utf8, new JsonDocumentOptions { MaxDepth = DeepestNesting });
            if (FormatProblem(document.RootElement, versions.Newest, out var version) is { } problem)
                return new SetupReading(null, [problem]);
            utf8 = versions.Upgraded(utf8, version);
        }
        catch (JsonException error)
        {
            return SetupReading.Failed("", JsonPlace.SyntaxReason(error));
        }

        try
        {
            var setup = JsonSerializer.Deserialize<Setup>(utf8.Span, Options)!;
            var problems = SetupValidator.Check(setup);
            return problems.Count == 0 ? new SetupReading(setup, []) : new SetupReading(null, problems);
        }
        catch (Exception error) when (JsonPlace.IsAbout(error))
        {
            return new SetupReading(null, [JsonPlace.Of(error)]);
        }
    }

    /// <summary>Reads a document that is already parsed, and checks it.</summary>
    public static SetupReading Read(JsonNode document) => Read(JsonSerializer.SerializeToUtf8Bytes(document));

    /// <summary>The setup as a JSON tree.</summary>
    public static JsonObject ToNode(Setup setup) => JsonSerializer.SerializeToNode(setup, Options)!.AsObject();

    /// <summary>The setup for people to read: indented, members in the order of the path, collections by id.</summary>
    public static byte[] WriteIndented(Setup setup)
    {
        var indented = new JsonSerializerOptions(Options) { WriteIndented = true };
        return Encoding.UTF8.GetBytes(Sorted(ToNode(setup)).ToJsonString(indented) + "\n");
    }

    private static SetupProblem? FormatProblem(JsonElement root, int newest, out int version)
    {
        version = 0;
        if (root.ValueKind != JsonValueKind.Object)
            return new SetupProblem("", "A setup is a JSON object.");
        if (
            !root.TryGetProperty("format", out var format)
            || format.ValueKind != JsonValueKind.String
            || format.GetString() != Setup.FormatName
        )
            return new SetupProblem("/format", $"This is not a setup document: format must be \"{Setup.FormatName}\".");
        if (
            !root.TryGetProperty("version", out var number)
            || number.ValueKind != JsonValueKind.Number
            || !number.TryGetInt32(out version)
        )
            return new SetupProblem(
                "/version",
                $"The version must be a whole number; this program reads {Known(newest)}."
            );
        return version >= 1 && version <= newest
            ? null
            : new SetupProblem("/version", $"Version {version} is not known; this program reads {Known(newest)}.");
    }

    private static string Known(int newest) => newest == 1 ? "version 1" : $"versions 1 to {newest}";

    // Dictionaries come out in hash order; people and version control want one order. Records keep theirs: only objects whose
    // members are ids are sorted, and those are exactly the collections.
    private static JsonNode Sorted(JsonNode node, bool collection = false)
    {
        if (node is not JsonObject source)
            return node.DeepClone();
        var members = collection ? source.OrderBy(m => m.Key, StringComparer.Ordinal) : source.AsEnumerable();
        return new JsonObject(
            members.Select(m =>
                KeyValuePair.Create(
                    m.Key,
                    m.Value is null ? null : Sorted(m.Value, SetupCollections.Names.Contains(m.Key))
                )
            )
        );
    }

    /// <summary>Gives a serialiser the way of writing that setups have: names, enumerations, quantities as bare numbers.</summary>
    public static void Configure(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DictionaryKeyPolicy = null;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.MaxDepth = DeepestNesting;
        // A document may list its members in any order, the kind of a control too.
        options.AllowOutOfOrderMetadataProperties = true;
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false));
        options.Converters.Add(new QuantityJsonConverter());
        options.Converters.Add(new StickOrderJsonConverter());
    }

    private static JsonSerializerOptions CreateOptions()
    {
        var options = new JsonSerializerOptions(JsonSerializerOptions.Strict);
        Configure(options);
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }
}
