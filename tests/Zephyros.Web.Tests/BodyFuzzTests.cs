using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Bodies made at random after the published OpenAPI document, with a wrong value here and there, for every address that takes
/// one: the server answers each with what it made of it or with a reason, and never with a fault of its own.</summary>
public sealed class BodyFuzzTests : IAsyncDisposable
{
    private static readonly int Tries = Environment.GetEnvironmentVariable("DEEP") == "1" ? 10_000 : 300;

    // Of what the demo craft really have, so that many bodies get past the first check.
    private static readonly string[] Words = (
        "sandpiper|throttle|roll|arm|left-shoulder|right-shoulder|cut-on|distance|AETR||\u202e|-1|x"
    ).Split('|');

    private static readonly string[] Wrong = ["null", "true", "-1", "1e308", "1e-320", "\"\"", "[]", "[null]", "{}"];
    private static readonly double[] Numbers = [0, 1, 2, -1, 0.5, 100, -100, 1500, 988, 2012, 1e9, -1e9, 1e308];

    private readonly TestServer server = new();
    private readonly HttpClient client;
    private JsonObject schemas = [];

    public BodyFuzzTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task No_body_is_a_fault_of_the_server()
    {
        var api = await JsonAsync(await SendAsync(client, HttpMethod.Get, "/openapi/v1.json"));
        schemas = api["components"]!["schemas"]!.AsObject();
        var addresses = (
            from path in api["paths"]!.AsObject()
            from operation in path.Value!.AsObject()
            let schema = operation.Value!["requestBody"]?["content"]?["application/json"]?["schema"]
            where operation.Key != "get" && (schema is not null || operation.Value["requestBody"] is null)
            select (Method: new HttpMethod(operation.Key.ToUpperInvariant()), Path: path.Key, Schema: schema)
        ).ToArray();
        Assert.True(addresses.Length > 20);
        var answers = new Dictionary<HttpStatusCode, int>();
        for (var seed = 0; seed < Tries; seed++)
        {
            var random = new Random(seed);
            var (method, path, schema) = addresses[seed % addresses.Length];
            var body = schema is null ? null : Make(schema, random, 0)?.ToJsonString() ?? "null";
            var address = string.Join('/', path.Split('/').Select(p => Filled(p, random)));
            var revision = random.Next(3) == 0 ? "7" : await RevisionAsync();
            var answer = await SendAsync(client, method, address, body, $"\"{revision}\"");
            Assert.True((int)answer.StatusCode < 500, $"seed {seed}: {answer.StatusCode} {method} {address} {body}");
            answers[answer.StatusCode] = answers.GetValueOrDefault(answer.StatusCode) + 1;
        }

        // Some got through, some were refused for what they say, so no check is idle.
        Assert.True(answers.ContainsKey(HttpStatusCode.OK) && answers.ContainsKey(HttpStatusCode.BadRequest));
        Assert.Equal(HttpStatusCode.OK, (await SendAsync(client, HttpMethod.Get, "/api/setups")).StatusCode);
    }

    private async Task<string> RevisionAsync() =>
        (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/sandpiper")))["revision"]!.ToString();

    private static string Filled(string part, Random random) =>
        !part.StartsWith('{') ? part
        : part == "{id}" && random.Next(5) > 0 ? "sandpiper"
        : part == "{step}" ? $"{random.Next(-1, 4)}"
        : Uri.EscapeDataString(Words[random.Next(Words.Length - 3)]) is { Length: > 0 } word ? word
        : "none";

    private JsonNode? Make(JsonNode schema, Random random, int depth)
    {
        if (random.Next(40) == 0)
            return JsonNode.Parse(Wrong[random.Next(Wrong.Length)]);
        if (schema["$ref"] is { } reference)
            return Make(schemas[((string)reference!)["#/components/schemas/".Length..]]!, random, depth);
        var choices = (schema["anyOf"] ?? schema["oneOf"])?.AsArray();
        if (choices is not null)
            return Make(choices[random.Next(choices.Count)]!, random, depth);
        if (schema["enum"]?.AsArray() is { } values)
            return values[random.Next(values.Count)]?.DeepClone();
        var kinds =
            schema["type"] is JsonArray several ? [.. several.Select(t => (string)t!)]
            : schema["type"] is { } one ? new[] { (string)one! }
            : ["object"];
        return kinds[random.Next(kinds.Length)] switch
        {
            "null" => null,
            "boolean" => random.Next(2) == 0,
            "integer" => random.Next(12),
            "number" => Numbers[random.Next(Numbers.Length)],
            "string" => Words[random.Next(Words.Length)],
            "array" => depth > 6
                ? new JsonArray()
                : new JsonArray([
                    .. Enumerable.Range(0, random.Next(4)).Select(_ => Make(schema["items"]!, random, depth + 1)),
                ]),
            _ => MakeObject(schema, random, depth),
        };
    }

    private JsonObject MakeObject(JsonNode schema, Random random, int depth)
    {
        var made = new JsonObject();
        var required = schema["required"]?.AsArray().Select(r => (string)r!).ToHashSet(StringComparer.Ordinal) ?? [];
        foreach (var (name, member) in schema["properties"]?.AsObject() ?? [])
            if (depth < 8 && random.Next(30) > 0 && (required.Contains(name) || random.Next(3) > 0))
                made[name] = Make(member!, random, depth + 1);
        if (schema["additionalProperties"] is JsonObject values && depth < 6)
            for (var i = random.Next(3); i > 0; i--)
                made[Words[random.Next(Words.Length)]] = Make(values, random, depth + 1);
        return made;
    }
}
