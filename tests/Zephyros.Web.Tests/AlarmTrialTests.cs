using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Hearing an alarm over HTTP: on the bench, and at the pilot's transmitter until its limit was read back.</summary>
public sealed class AlarmTrialTests : IAsyncDisposable
{
    private const string Alarm = "/api/setups/sandpiper/alarms/battery-low";

    private readonly TestServer server = new();
    private readonly HttpClient client;

    public AlarmTrialTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task On_the_bench_it_is_heard_and_its_limit_is_back_by_itself()
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Alarm}/bench-test");
        for (var i = 0; i < 100 && answer.StatusCode == HttpStatusCode.Conflict; i++)
        {
            // Until the first packets of telemetry have come.
            await Task.Delay(50, TestContext.Current.CancellationToken);
            answer = await SendAsync(client, HttpMethod.Post, $"{Alarm}/bench-test");
        }

        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var test = (await JsonAsync(answer))["test"]!;
        Assert.Equal(("battery-low", "raised"), ((string)test["alarm"]!, (string)test["state"]!));
        Assert.Equal(
            "Another alarm is being tested.",
            (string)(await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Alarm}/bench-test")))["detail"]!
        );
        for (var i = 0; i < 400 && (string)test["state"]! is "raised" or "heard"; i++)
        {
            await Task.Delay(50, TestContext.Current.CancellationToken);
            test = (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/sandpiper/bench")))["test"]!;
        }

        Assert.Equal("done", (string)test["state"]!);
        Assert.StartsWith("Battery 25.", (string)test["words"]!, StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.Conflict,
            (await SendAsync(client, HttpMethod.Post, "/api/setups/sandpiper/alarms/nobody/bench-test")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Post, "/api/setups/nobody/alarms/nobody/bench-test")).StatusCode
        );
    }

    [Fact]
    public async Task At_the_transmitter_it_is_over_when_the_old_limit_was_read_back()
    {
        Assert.Equal(HttpStatusCode.Conflict, (await AskAsync("raise", 20)).StatusCode);
        var raise = await JsonAsync(await AskAsync("raise", 25));
        Assert.Equal("“Battery low” stands at 25.2 V for a test", (string)raise["title"]!);
        await EditAsync(raise, 1);
        Assert.Contains("alarm-left-raised:battery-low", await FindingsAsync());
        var wrong = await AskAsync("read-back", 25.2, 22.8);
        Assert.Equal(HttpStatusCode.Conflict, wrong.StatusCode);
        Assert.Equal(
            "It reads 25.2 V and 22.8 V, and must read 22.2 V and 22.8 V: set it back, and read it again.",
            (string)(await JsonAsync(wrong))["detail"]!
        );
        await EditAsync(await JsonAsync(await AskAsync("read-back", 22.2, 22.8)), 2);
        Assert.DoesNotContain("alarm-left-raised:battery-low", await FindingsAsync());
    }

    private Task<HttpResponseMessage> AskAsync(string what, double reads, double? over = null) =>
        SendAsync(
            client,
            HttpMethod.Post,
            $"{Alarm}/{what}",
            new JsonObject { ["reads"] = reads, ["over"] = over }.ToJsonString()
        );

    private async Task EditAsync(JsonNode edit, int revision) =>
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await SendAsync(
                    client,
                    HttpMethod.Post,
                    "/api/setups/sandpiper/edits",
                    edit.ToJsonString(),
                    $"\"{revision}\""
                )
            ).StatusCode
        );

    private async Task<string> FindingsAsync() =>
        (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/sandpiper/verdict"))).ToJsonString();
}
