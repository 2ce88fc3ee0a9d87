using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Radio systems, the quality on a channel and binds over HTTP.</summary>
public sealed class LinkEndpointTests : IAsyncDisposable
{
    private const string Wren = "/api/setups/wren";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public LinkEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_system_fills_the_link_in_and_the_budget_shows_what_survives()
    {
        var used = await SendAsync(
            client,
            HttpMethod.Put,
            $"{Wren}/link-profile",
            """{"profile":"stepped-packets","mode":0}""",
            "\"1\""
        );
        Assert.Equal(HttpStatusCode.OK, used.StatusCode);
        var air = (await JsonAsync(used))["setup"]!["air"]!;
        Assert.Equal(("stepped-packets", true), ((string)air["profile"]!, (bool)air["reservesArmChannel"]!));
        var rows = (await GetAsync($"{Wren}/view"))["budget"]!.AsArray();
        Assert.Equal([0, 2, 6, 64], rows.Select(r => (int)r!["steps"]!).Skip(3).Take(4));
        var unknown = await SendAsync(
            client,
            HttpMethod.Put,
            $"{Wren}/link-profile",
            """{"profile":"stepped-packets","mode":9}""",
            "\"2\""
        );
        Assert.Equal(HttpStatusCode.NotFound, unknown.StatusCode);
    }

    [Fact]
    public async Task A_link_is_kept_as_a_system_chosen_elsewhere_and_forgotten()
    {
        var kept = await SendAsync(
            client,
            HttpMethod.Post,
            "/api/setups/sandpiper/link-profile",
            """{"name":"Cliff"}"""
        );
        Assert.Equal("cliff", (string)(await JsonAsync(kept))["profile"]!["id"]!);
        var again = await SendAsync(
            client,
            HttpMethod.Post,
            "/api/setups/sandpiper/link-profile",
            """{"name":"Cliff"}"""
        );
        Assert.Equal("cliff-2", (string)(await JsonAsync(again))["profile"]!["id"]!);
        var all = (await GetAsync("/api/link-profiles")).AsArray();
        Assert.Equal(2, all.Count(p => (bool)p!["own"]!));
        // The way to bind comes along with what it was made from.
        Assert.NotEmpty(all.Single(p => (string)p!["profile"]!["id"]! == "cliff")!["profile"]!["bind"]!.AsArray());
        var used = await SendAsync(
            client,
            HttpMethod.Put,
            $"{Wren}/link-profile",
            """{"profile":"cliff","mode":0}""",
            "\"1\""
        );
        Assert.Equal(16, (int)(await JsonAsync(used))["setup"]!["air"]!["channels"]!);
        var gone = await SendAsync(client, HttpMethod.Delete, "/api/link-profiles/cliff");
        Assert.Equal(HttpStatusCode.NoContent, gone.StatusCode);
        gone = await SendAsync(client, HttpMethod.Delete, "/api/link-profiles/full-step");
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
    }

    [Theory]
    [InlineData("""{"id":"full-step","name":"x","frequency":868,"modes":[]}""", "/id")]
    [InlineData("""{"id":"mine","name":"x","frequency":868,"modes":[]}""", "/modes")]
    [InlineData("""{"id":"mine","name":"x","frequency":9,"modes":[]}""", "/frequency")]
    [InlineData(
        """{"id":"mine","name":"x","frequency":868,"modes":[{"name":"a","packetRate":50,"channels":8,"channelSteps":{"9":2}}]}""",
        "/modes/0/channelSteps/9"
    )]
    public async Task A_system_that_cannot_be_is_refused_with_its_place(string body, string place)
    {
        var answer = await SendAsync(client, HttpMethod.Post, "/api/link-profiles", body);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains((await JsonAsync(answer))["errors"]!.AsArray(), e => (string)e!["place"]! == place);
    }

    [Fact]
    public async Task The_quality_goes_onto_a_free_channel_and_onto_no_other()
    {
        var taken = await PutQualityAsync("""{"way":"receiver","channel":5}""");
        Assert.Equal(HttpStatusCode.NotFound, taken.StatusCode);
        var put = await PutQualityAsync("""{"way":"receiver","channel":9}""");
        var setup = (await JsonAsync(put))["setup"]!;
        Assert.Equal(9, (int)setup["air"]!["receiver"]!["qualityOn"]!);
        Assert.Equal(5, (int)setup["board"]!["functions"]!["quality"]!["aux"]!);
        Task<HttpResponseMessage> PutQualityAsync(string body) =>
            SendAsync(client, HttpMethod.Put, $"{Wren}/quality", body, "\"1\"");
    }

    [Fact]
    public async Task A_bind_is_recorded_and_goes_stale_when_the_receiver_is_another()
    {
        var recorded = await SendAsync(
            client,
            HttpMethod.Post,
            $"{Wren}/binds",
            """{"moduleFirmware":"2.4.1","steps":[{"do":"Propellers off.","asExpected":true}]}"""
        );
        Assert.Equal(HttpStatusCode.OK, recorded.StatusCode);
        var bind = (await GetAsync($"{Wren}/binds"))[0]!;
        Assert.Equal(("2.4.1", true), ((string)bind["record"]!["moduleFirmware"]!, (bool)bind["asExpected"]!));
        Assert.Empty(bind["changed"]!.AsArray());
        await SendAsync(
            client,
            HttpMethod.Post,
            $"{Wren}/edits",
            """{"title":"x","operations":[{"op":"add","path":"/air/receiver","value":{"label":"Another"}}]}""",
            "\"1\""
        );
        bind = (await GetAsync($"{Wren}/binds"))[0]!;
        Assert.Equal(["the receiver"], bind["changed"]!.AsArray().Select(c => (string)c!));
        var none = await SendAsync(client, HttpMethod.Post, "/api/setups/nobody/binds", "{}");
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    private async Task<JsonNode> GetAsync(string path) =>
        await JsonAsync(await SendAsync(client, HttpMethod.Get, path));
}
