using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>The proof over HTTP: it begins by itself, says what breaks a promise, plays it, offers proven fixes.</summary>
public sealed class ProofEndpointTests : IAsyncDisposable
{
    private const string Sandpiper = "/api/setups/sandpiper";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public ProofEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_broken_promise_is_read_played_fixed_and_proven()
    {
        var leap = await PromiseAsync("no-leap");
        Assert.Equal("broken", (string)leap["state"]!);
        var path = leap["path"]!.AsArray();
        Assert.Equal("Put Left shoulder to far, towards you.", (string)path[2]!["sentence"]!);
        Assert.Equal("thrust", (string)path[^1]!["motors"]!);
        // The throttle is followed until something is moved, and then what was moved last.
        Assert.All(
            (await GetAsync($"{Sandpiper}/proof"))["promises"]!.AsArray().Select(p => p!["path"]!.AsArray()),
            steps => Assert.Equal("Throttle", steps.Count == 0 ? "Throttle" : (string)steps[0]!["followed"]!)
        );
        Assert.Equal("Left shoulder", (string)path[2]!["followed"]!);
        // What is shown of a step is what is there once it is done.
        Assert.Equal("far", (string)path[2]!["stops"]![0]!["figure"]!);

        // The bench that everybody sees is put to the last step.
        var picture = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/proof/no-leap/bench/{path.Count - 1}")
        );
        Assert.Equal("thrust", (string)picture["snapshot"]!["motors"]!);
        Assert.Equal(2, (double)picture["snapshot"]!["settings"]!["left-shoulder"]!);
        var beyond = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/proof/no-leap/bench/{path.Count}");
        Assert.Equal(HttpStatusCode.NotFound, beyond.StatusCode);

        var fix = (await GetAsync($"{Sandpiper}/proof/no-leap/fixes")).AsArray()[0]!;
        Assert.Contains("safe-end-is-safe", fix["alsoKeeps"]!.AsArray().Select(c => (string)c!));
        var fixedUp = await SendAsync(
            client,
            HttpMethod.Post,
            $"{Sandpiper}/edits",
            fix["edit"]!.ToJsonString(),
            "\"1\""
        );
        Assert.Equal(HttpStatusCode.OK, fixedUp.StatusCode);
        Assert.All(
            (await DoneAsync())["promises"]!.AsArray(),
            promise => Assert.Equal("proven", (string)promise!["state"]!)
        );
    }

    [Fact]
    public async Task A_promise_is_kept_broken_for_a_reason_or_switched_off()
    {
        var off = await SendAsync(
            client,
            HttpMethod.Put,
            $"{Sandpiper}/proof/no-leap",
            """{"on":false,"note":"a bench craft"}""",
            "\"1\""
        );
        Assert.Equal(
            "Promise off: One movement never takes the motors from standing to thrust",
            (string)(await JsonAsync(off))["undoTitle"]!
        );
        var promise = await PromiseAsync("no-leap");
        Assert.Equal(("off", "a bench craft"), ((string)promise["state"]!, (string)promise["note"]!));
        await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/proof/no-leap", """{"on":true,"note":""}""", "\"2\"");
        Assert.Equal("broken", (string)(await PromiseAsync("no-leap"))["state"]!);
    }

    [Fact]
    public async Task The_explored_model_can_be_taken_away()
    {
        var model = await client.GetAsync($"{Sandpiper}/proof/stop-works/model", TestContext.Current.CancellationToken);
        Assert.Equal("stop-works.pml", model.Content.Headers.ContentDisposition!.FileName);
        var text = await model.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.Contains("active proctype setup()", text, StringComparison.Ordinal);
        Assert.Contains("Left shoulder", text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("GET", "/api/setups/nobody/proof", null)]
    [InlineData("POST", "/api/setups/nobody/proof/cancel", null)]
    [InlineData("GET", "/api/setups/sandpiper/proof/nothing/model", null)]
    [InlineData("GET", "/api/setups/sandpiper/proof/nothing/fixes", null)]
    [InlineData("POST", "/api/setups/sandpiper/proof/nothing/bench/0", null)]
    [InlineData("PUT", "/api/setups/sandpiper/proof/nothing", """{"on":true,"note":""}""")]
    public async Task What_is_not_there_is_not_found(string method, string address, string? body)
    {
        var answer = await SendAsync(client, new HttpMethod(method), address, body, "\"1\"");
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
    }

    [Theory]
    [InlineData("POST", "/api/setups/sandpiper/proof", """{"twoHands":"both"}""")]
    [InlineData("PUT", "/api/setups/sandpiper/proof/no-leap", """{"on":true,"note":null}""")]
    public async Task What_cannot_be_meant_is_refused(string method, string address, string body)
    {
        var answer = await SendAsync(client, new HttpMethod(method), address, body, "\"1\"");
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    private async Task<JsonNode> GetAsync(string address) =>
        await JsonAsync(await client.GetAsync(address, TestContext.Current.CancellationToken));

    private async Task<JsonNode> PromiseAsync(string code) =>
        (await DoneAsync())["promises"]!.AsArray().Single(p => (string)p!["code"]! == code)!;

    // Looks until the proof has come to its end, as the page does.
    private async Task<JsonNode> DoneAsync()
    {
        while (true)
        {
            var view = await GetAsync($"{Sandpiper}/proof");
            if (!(bool)view["running"]!)
                return view;
            await Task.Delay(50, TestContext.Current.CancellationToken);
        }
    }
}
