using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Documents, edits and wishes that were damaged at random: each is refused with a reason or taken whole, and never breaks the
/// server.</summary>
public sealed class HostileInputTests : IAsyncDisposable
{
    private static readonly int Tries = Environment.GetEnvironmentVariable("DEEP") == "1" ? 10_000 : 400;

    // What is put in place of a value: every kind of JSON, extremes among them.
    private static readonly string[] Junk = (
        "null|true|0|-1|1e308|2147483648|0.1|\"\"|\"x\"|\"arm\"|\"throttle\"|\"\\u202E\\u0000\"|[]|[null]"
        + "|[[]]|{}|{\"kind\":\"control\",\"control\":\"nobody\"}|{\"kind\":\"not\",\"of\":[]}|{\"a\":null}"
    ).Split('|');

    private readonly TestServer server = new();
    private readonly HttpClient client;

    public HostileInputTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task Damaged_documents_are_loaded_whole_or_refused_with_a_place()
    {
        var whole = (
            await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/sandpiper/export"))
        ).ToJsonString();
        var (taken, refused) = (0, 0);
        for (var seed = 0; seed < Tries; seed++)
        {
            var damaged = Damage(whole, new Random(seed));
            var answer = await SendAsync(client, HttpMethod.Post, "/api/setups", damaged);
            Assert.True(
                answer.StatusCode is HttpStatusCode.Created or HttpStatusCode.BadRequest,
                $"seed {seed}: {answer.StatusCode}"
            );
            if (answer.StatusCode == HttpStatusCode.BadRequest)
            {
                refused++;
                Assert.NotEmpty((await JsonAsync(answer))["errors"]!.AsArray());
                continue;
            }

            // What was taken can be looked at from every side.
            taken++;
            var id = (string)(await JsonAsync(answer))["id"]!;
            foreach (var part in new[] { "view", "findings", "bench", "ready-made", "export" })
            {
                var looked = await SendAsync(client, HttpMethod.Get, $"/api/setups/{id}/{part}");
                Assert.True(looked.StatusCode == HttpStatusCode.OK, $"seed {seed}, {part}: {looked.StatusCode}");
            }
        }

        // Both happen, so neither check is idle.
        Assert.True(taken > 0 && refused > Tries / 4, $"{taken} taken, {refused} refused");
    }

    [Fact]
    public async Task Damaged_edits_are_refused_or_applied()
    {
        const string Edit =
            """{"title":"x","operations":[{"op":"test","path":"/board/map","value":"AETR"},{"op":"replace","path":"/model/conditions/cut-on/test","value":{"kind":"all","of":[{"kind":"position","control":"right-shoulder","positions":[2]}]}},{"op":"add","path":"/model/channels/home/steps/x","value":{"kind":"curve","order":1,"points":[{"x":-100,"y":0},{"x":0,"y":1},{"x":100,"y":2}]}}]}""";
        for (var seed = 0; seed < Tries; seed++)
        {
            var revision = (int)
                (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/sandpiper")))["revision"]!;
            var damaged = Damage(Edit, new Random(seed));
            var answer = await SendAsync(
                client,
                HttpMethod.Post,
                "/api/setups/sandpiper/edits",
                damaged,
                $"\"{revision}\""
            );
            Assert.True((int)answer.StatusCode is 200 or 400 or 409, $"seed {seed}: {answer.StatusCode}");
        }
    }

    // One to three values replaced, removed or added, sometimes a piece of the text cut out.
    private static string Damage(string text, Random random)
    {
        var document = JsonNode.Parse(text)!;
        for (var i = random.Next(1, 4); i > 0; i--)
        {
            var places = Places(document).ToArray();
            if (places.Length == 0)
                break;
            var (owner, key) = places[random.Next(places.Length)];
            var junk = JsonNode.Parse(Junk[random.Next(Junk.Length)]);
            switch (owner)
            {
                case JsonObject made when random.Next(4) == 0:
                    made.Remove((string)key);
                    break;
                case JsonObject made when random.Next(4) == 0:
                    made[$"{key}-2"] = made[(string)key]?.DeepClone();
                    break;
                case JsonObject made:
                    made[(string)key] = junk;
                    break;
                case JsonArray list:
                    list[(int)key] = junk;
                    break;
            }
        }

        var damaged = new StringBuilder(document.ToJsonString());
        if (random.Next(8) == 0)
        {
            var from = random.Next(damaged.Length);
            damaged.Remove(from, Math.Min(random.Next(1, 20), damaged.Length - from));
        }

        return damaged.ToString();
    }

    private static IEnumerable<(JsonNode Owner, object Key)> Places(JsonNode node) =>
        node switch
        {
            JsonObject made => made.SelectMany(m =>
                (m.Value is null ? [] : Places(m.Value)).Prepend((made, (object)m.Key))
            ),
            JsonArray list => list.SelectMany((v, i) => (v is null ? [] : Places(v)).Prepend((list, (object)i))),
            _ => [],
        };
}
