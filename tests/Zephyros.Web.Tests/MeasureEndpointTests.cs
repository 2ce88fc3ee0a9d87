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
}
