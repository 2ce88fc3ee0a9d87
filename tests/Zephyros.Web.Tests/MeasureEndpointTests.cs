using System.Net;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Measurements over HTTP: solved, refused by name.</summary>
public sealed class MeasureEndpointTests : IAsyncDisposable
{
    private const string Sandpiper = "/api/setups/sandpiper";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public MeasureEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task Wiggles_that_are_as_the_setup_says_offer_to_put_the_order_right()
    {
        var simulated = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/simulated-measurement"));
        var view = await JsonAsync(
            await SendAsync(
                client,
                HttpMethod.Post,
                $"{Sandpiper}/wiggles",
                $$"""{"seen":{{simulated["wiggles"]!.ToJsonString()}}}"""
            )
        );
        Assert.Equal(1, (int)view["answer"]!["possible"]!);
        Assert.Equal(
            ["Send A E T R", "Board reads T A E R"],
            view["fixes"]!.AsArray().Select(f => (string)f!["edit"]!["title"]!)
        );
        var seen = """{"seen":[{"moved":"roll","bar":"yaw"},{"moved":"pitch","bar":"yaw"}]}""";
        view = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/wiggles", seen));
        Assert.Equal("[[0,1]]", view["contradictions"]!.ToJsonString());
    }

    [Fact]
    public async Task Wiggles_that_are_not_as_the_setup_says_are_written_down_first()
    {
        var seen = """
            {"seen":[{"moved":"throttle","bar":"throttle"},{"moved":"roll","bar":"roll","reversed":true},{"moved":"pitch","bar":"pitch"}]}
            """;
        var view = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/wiggles", seen));
        var words = view["fixes"]!.AsArray().Select(f => (string)f!["words"]!).ToArray();
        Assert.Equal(3, words.Length);
        Assert.All(words[..2], w => Assert.EndsWith("write that down.", w, StringComparison.Ordinal));
        Assert.Contains("roll is turned round", words[2], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("""{"sweeps":{"roll":{"low":1000,"centre":1500,"high":2000}}}""", "/sweeps/pitch")]
    [InlineData("""{"sweeps":{"roll":{"low":1000,"centre":1500,"high":3000}}}""", "/sweeps/roll/high")]
    [InlineData("""{"sweeps":{"roll":{"low":1500,"centre":1500,"high":1500}}}""", "/sweeps/roll/low")]
    public async Task Impossible_measurements_are_refused_by_name(string body, string place)
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/sweeps", body);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains((await JsonAsync(answer))["errors"]!.AsArray(), e => (string)e!["place"]! == place);
    }

    [Fact]
    public async Task Positions_are_solved_and_what_was_not_measured_is_refused_by_name()
    {
        var simulated = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/simulated-measurement"));
        var seen = $$"""{"seen":{{simulated["positions"]!.ToJsonString()}}}""";
        var view = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/positions", seen));
        Assert.Equal(14, view["positions"]!.AsArray().Count);
        var wrong = """{"seen":[{"control":"left-shoulder","setting":3,"channel":5,"value":1000}]}""";
        var answer = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/positions", wrong);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Equal("/seen/0/setting", (string)(await JsonAsync(answer))["errors"]![0]!["place"]!);
    }

    [Fact]
    public async Task A_recording_of_the_wire_is_measured()
    {
        var recording = await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/recording?measuring=true");
        using var content = new ByteArrayContent(
            await recording.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken)
        );
        content.Headers.ContentType = new("application/octet-stream");
        var capture = await JsonAsync(
            await client.PostAsync($"{Sandpiper}/captures", content, TestContext.Current.CancellationToken)
        );
        var at = $"{Sandpiper}/captures/{(string)capture["id"]!}/measurement";
        var view = await JsonAsync(await SendAsync(client, HttpMethod.Get, at));
        Assert.Equal(
            ("", 4, 14),
            ((string)view["problem"]!, view["wiggles"]!.AsArray().Count, view["positions"]!.AsArray().Count)
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/captures/none/measurement")).StatusCode
        );
    }

    [Fact]
    public async Task Three_places_and_symptoms_are_told()
    {
        var truth = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/truth"));
        Assert.Contains(truth.AsArray(), c => (int)c!["channel"]! == 5);
        var symptoms = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/symptoms"));
        var spins = symptoms.AsArray().Single(s => (string)s!["id"]! == "spins");
        Assert.Equal("shown", (string)spins!["suspects"]![0]!["standing"]!);
        Assert.Equal("channel-order", (string)spins["suspects"]![0]!["findings"]![0]!["key"]!);
    }
}
