using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Ready-made chains, the table of flight states, new craft, and models that cannot be, over HTTP.</summary>
public sealed class ModelEndpointTests : IAsyncDisposable
{
    private const string Sandpiper = "/api/setups/sandpiper";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public ModelEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_ready_made_chain_is_offered_previewed_built_and_undone()
    {
        var offers = (await GetAsync($"{Sandpiper}/ready-made")).AsArray();
        var limiter = offers.Single(o => (string)o!["id"]! == "throttle-limiter")!;
        Assert.Contains(limiter["parameters"]!.AsArray(), p => (string)p!["name"]! == "lowest");

        const string Wish = """{"arguments":{"dial":"right-dial","lowest":"60"}}""";
        var before = await GetAsync($"{Sandpiper}/export");
        var preview = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/ready-made/throttle-limiter/preview", Wish)
        );
        Assert.Contains(
            preview["facts"]!.AsArray(),
            f => ((string)f!).Contains("60 % of its travel", StringComparison.Ordinal)
        );
        Assert.Equal(3, preview["changes"]!.AsArray().Count);
        Assert.True(JsonNode.DeepEquals(before, await GetAsync($"{Sandpiper}/export")));

        var built = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/ready-made/throttle-limiter", Wish, "\"1\"");
        Assert.Equal(HttpStatusCode.OK, built.StatusCode);
        Assert.Equal("Build: Throttle limiter", (string)(await JsonAsync(built))["undoTitle"]!);
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/undo", ifMatch: "\"2\"");
        Assert.True(JsonNode.DeepEquals(before, await GetAsync($"{Sandpiper}/export")));
    }

    [Theory]
    [InlineData("throttle-limiter", """{"arguments":{"lowest":"-5"}}""", HttpStatusCode.BadRequest, "/lowest")]
    [InlineData("throttle-limiter", """{"arguments":{"lowest":null}}""", HttpStatusCode.BadRequest, "lowest")]
    [InlineData("throttle-limiter", """{"arguments":null}""", HttpStatusCode.BadRequest, "arguments")]
    [InlineData("throttle-limiter", """{}""", HttpStatusCode.BadRequest, "arguments")]
    [InlineData("throttle-cut", """{"arguments":{}}""", HttpStatusCode.BadRequest, "/cut")]
    [InlineData("nothing", """{"arguments":{}}""", HttpStatusCode.NotFound, "nothing")]
    public async Task A_wish_that_cannot_be_built_is_refused(
        string chain,
        string wish,
        HttpStatusCode status,
        string says
    )
    {
        foreach (var path in new[] { "/preview", "" })
        {
            var answer = await SendAsync(
                client,
                HttpMethod.Post,
                $"{Sandpiper}/ready-made/{chain}{path}",
                wish,
                "\"1\""
            );
            Assert.Equal(status, answer.StatusCode);
            Assert.Contains(says, (await JsonAsync(answer)).ToJsonString(), StringComparison.Ordinal);
        }

        Assert.Equal(1, (int)(await GetAsync(Sandpiper))["revision"]!);
    }

    [Fact]
    public async Task The_table_of_flight_states_is_put_and_read_back()
    {
        const string Table = """{"table":{"page":{"rescue":-60,"practice":20,"cliff":120}}}""";
        var answer = await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/state-table", Table, "\"1\"");
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var rows = (await GetAsync($"{Sandpiper}/view"))["states"]!.AsArray();
        Assert.Equal([-60.0, 20, 120], rows.Select(r => (double)r!["cells"]!["page"]!));

        const string Wrong = """{"table":{"page":{"rescue":400},"nowhere":{}}}""";
        answer = await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/state-table", Wrong, "\"2\"");
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var said = (await JsonAsync(answer)).ToJsonString();
        Assert.Contains("/page/rescue", said, StringComparison.Ordinal);
        Assert.Contains("/nowhere", said, StringComparison.Ordinal);
        foreach (var broken in new[] { """{"table":{"page":null}}""", """{"table":null}""", "[]" })
            Assert.Equal(
                HttpStatusCode.BadRequest,
                (await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/state-table", broken, "\"2\"")).StatusCode
            );
    }

    [Theory]
    [InlineData(
        """{"kind":"position","control":"left-shoulder","positions":[2]}""",
        "Left shoulder is far",
        null,
        null
    )]
    [InlineData(
        """{"kind":"all","of":[{"kind":"position","control":"left-shoulder","positions":[1]},{"kind":"position","control":"left-shoulder","positions":[2]}]}""",
        "Left shoulder is safe and Left shoulder is far",
        "It can never hold.",
        null
    )]
    [InlineData("""{"kind":"holds","condition":"cut-on"}""", "“Cut on” holds", "It asks for itself", null)]
    [InlineData("""{"kind":"not","of":[]}""", "", null, "/test/of")]
    [InlineData("""{"kind":"position","control":"left-shoulder","positions":[4]}""", "", null, "/test/positions")]
    public async Task A_condition_is_looked_at_before_it_is_saved(
        string test,
        string sentence,
        string? caution,
        string? place
    )
    {
        var wish = $$"""{"id":"cut-on","condition":{"label":"Cut on","test":{{test}} } }""";
        var preview = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/conditions/preview", wish)
        );
        Assert.Equal(sentence, (string)preview["sentence"]!);
        Assert.StartsWith(caution ?? "", (string?)preview["caution"] ?? "", StringComparison.Ordinal);
        Assert.Equal(caution is null, preview["caution"] is null);
        Assert.Equal(place, preview["problems"]!.AsArray().Select(p => (string)p!["place"]!).FirstOrDefault());
        Assert.Equal(1, (int)(await GetAsync(Sandpiper))["revision"]!);
    }

    [Theory]
    [InlineData("null", "/condition/test", "Must not be null.")]
    [InlineData("{}", "/condition/test", "It must have a \"kind\" that says what it is.")]
    [InlineData(
        """{"kind":"all","of":[{}]}""",
        "/condition/test/of/0",
        "It must have a \"kind\" that says what it is."
    )]
    [InlineData("[]", "/condition/test", "This has another form than what is wanted here.")]
    [InlineData("""{"kind":"all"}""", "/condition/test", "Missing here: 'of'.")]
    public async Task A_condition_that_is_none_is_refused_with_its_place(string test, string place, string reason)
    {
        var wish = $$"""{"id":"cut-on","condition":{"label":"Cut on","test":{{test}} } }""";
        var response = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/conditions/preview", wish);
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        var error = (await JsonAsync(response))["errors"]![0]!;
        Assert.Equal((place, reason), ((string)error["place"]!, (string)error["reason"]!));
    }

    [Fact]
    public async Task A_new_craft_starts_with_an_empty_memory_on_a_blank_transmitter_or_on_ones_own()
    {
        var shapes = (await GetAsync("/api/transmitters")).AsArray();
        // The blank ones, and the transmitter that the demo craft share.
        Assert.Equal(
            ["blank-4", "blank-6", "blank-8", "blank-10", "craft:gannet"],
            shapes.Select(s => (string)s!["id"]!)
        );
        var made = await SendAsync(client, HttpMethod.Post, "/api/setups/new", """{"name":"Tern","shape":"blank-6"}""");
        Assert.Equal(HttpStatusCode.Created, made.StatusCode);
        Assert.Equal("AETR", (string)(await GetAsync("/api/setups/tern/view"))["sentOrder"]!);
        Assert.Equal(HttpStatusCode.Created, (await NewAsync("""{"name":"Knot","shape":"craft:gannet"}""")).StatusCode);
        var own = await GetAsync("/api/setups/knot/export");
        Assert.Equal("Kittiwake 8", (string)own["transmitter"]!["name"]!);
        Assert.Equal(4, own["model"]!["channels"]!.AsObject().Count);
        Assert.Equal(HttpStatusCode.BadRequest, (await NewAsync("""{"name":"Tern","shape":"blank-99"}""")).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await NewAsync("""{"name":"","shape":"blank-6"}""")).StatusCode);
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await NewAsync($$"""{"name":"{{new string('n', 10_000)}}","shape":"blank-6"}""")).StatusCode
        );
    }

    public static TheoryData<string, string> Impossible =>
        new()
        {
            {
                Step(
                    """{"kind":"curve","order":1,"points":[{"x":-100,"y":0},{"x":5,"y":0},{"x":5,"y":1},{"x":100,"y":1}]}"""
                ),
                "Two points stand at"
            },
            { Step("""{"kind":"curve","order":1,"points":null}"""), "points" },
            { Step("""{"kind":"curve","order":1,"points":[null,null,null]}"""), "points" },
            { Step("""{"kind":"scale","order":1,"scale":"x"}"""), "scale" },
            { Step("""{"kind":"teleport","order":1}"""), "There is no kind" },
            { Step("""{"kind":"add","order":1,"with":{"take":{"kind":"channel","channel":"gone"}}}"""), "gone" },
            { Edit("/model/channels/arm/steps", Many(1000)), "64" },
            { Edit("/model/channels/arm/label", $"\"{new string('n', 10_000)}\""), "characters" },
            { Edit("/model/conditions/q", """{"label":"q","test":{"kind":"all","of":[]}}"""), "at least one part" },
            { Edit("/model/conditions/q", """{"label":"q","test":{"kind":"all","of":null}}"""), "of" },
            {
                Edit("/model/conditions/q", """{"label":"q","test":{"kind":"all","of":[null]}}"""),
                "/model/conditions/q/test/of/0"
            },
            { Edit("/model/conditions/q", "null"), "/model/conditions/q" },
            {
                Edit(
                    "/model/conditions/q",
                    """{"label":"q","test":{"kind":"latch","set":[{"kind":"telemetry-lost"}]}}"""
                ),
                "clear"
            },
            { Edit("/model/conditions/q", Nested(300)), "" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public async Task A_model_that_cannot_be_is_refused_and_nothing_is_lost(string edit, string says)
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", edit, "\"1\"");
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains(says, (await JsonAsync(answer)).ToJsonString(), StringComparison.OrdinalIgnoreCase);
        Assert.Equal(1, (int)(await GetAsync(Sandpiper))["revision"]!);
    }

    [Fact]
    public async Task A_ring_of_conditions_is_kept_and_found()
    {
        const string Ring =
            """{"title":"ring","operations":[{"op":"add","path":"/model/conditions/a","value":{"label":"a","test":{"kind":"holds","condition":"b"}}},{"op":"add","path":"/model/conditions/b","value":{"label":"b","test":{"kind":"holds","condition":"c"}}},{"op":"add","path":"/model/conditions/c","value":{"label":"c","test":{"kind":"holds","condition":"d"}}},{"op":"add","path":"/model/conditions/d","value":{"label":"d","test":{"kind":"not","of":[{"kind":"holds","condition":"a"}]}}}]}""";
        var answer = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", Ring, "\"1\"");
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var findings = (await GetAsync($"{Sandpiper}/findings")).AsArray();
        Assert.Contains(findings, f => (string)f!["title"]! == "4 things ask for each other in a ring");
        Assert.Equal(HttpStatusCode.OK, (await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/view")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/bench")).StatusCode);
    }

    private Task<HttpResponseMessage> NewAsync(string body) =>
        SendAsync(client, HttpMethod.Post, "/api/setups/new", body);

    private async Task<JsonNode> GetAsync(string path) =>
        await JsonAsync(await SendAsync(client, HttpMethod.Get, path));

    private static string Step(string step) => Edit("/model/channels/arm/steps", $$"""{"x":{{step}}}""");

    private static string Edit(string path, string value) =>
        $$"""{"title":"x","operations":[{"op":"add","path":"{{path}}","value":{{value}}}]}""";

    private static string Many(int count) =>
        $"{{{string.Join(',', Enumerable.Range(0, count).Select(i => $"\"s{i}\":{{\"kind\":\"scale\",\"order\":{i}}}"))}}}";

    private static string Nested(int depth) =>
        $$"""{"label":"q","test":{{string.Concat(Enumerable.Repeat("""{"kind":"not","of":[""", depth))}}{"kind":"telemetry-lost"}{{string.Concat(Enumerable.Repeat("]}", depth))}}}""";
}
