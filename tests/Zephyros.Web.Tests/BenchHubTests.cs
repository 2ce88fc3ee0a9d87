using Microsoft.AspNetCore.SignalR;
using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;
using Zephyros.Core.Bench;
using Zephyros.Core.Setups;
using Zephyros.Web.Contracts;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

public sealed class BenchHubTests : IAsyncLifetime
{
    private readonly TestServer server = new();
    private readonly HubConnection hub;

    public BenchHubTests() =>
        hub = new HubConnectionBuilder()
            .WithUrl(
                new Uri(server.Server.BaseAddress, "/hub/bench"),
                options => options.HttpMessageHandlerFactory = _ => server.Server.CreateHandler()
            )
            .AddJsonProtocol(json => SetupJson.Configure(json.PayloadSerializerOptions))
            .Build();

    public async ValueTask InitializeAsync() => await hub.StartAsync(TestContext.Current.CancellationToken);

    public async ValueTask DisposeAsync()
    {
        await hub.DisposeAsync();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_reported_reading_works_the_logic_and_a_wrong_one_is_refused()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("Report", "sandpiper", "distance", 900.0, cancel);
        var message = await WaitAsync("sandpiper", m => m.Snapshot.State == "rescue");
        Assert.Equal(900, message.Snapshot.Readings["distance"].Value);
        await Assert.ThrowsAsync<HubException>(() => hub.InvokeAsync("Report", "sandpiper", "nobody", 1.0, cancel));
        await Assert.ThrowsAsync<HubException>(() => hub.InvokeAsync("Report", "nobody", "distance", 1.0, cancel));
    }

    [Fact]
    public async Task The_craft_is_tilted_and_connected_over_the_hub_within_bounds()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("Surround", "wren", 45.0, true, false, false, cancel);
        var message = await WaitAsync("wren", m => m.Snapshot.Surroundings.Connected);
        Assert.Equal(45, message.Snapshot.Surroundings.Tilt.Value);
        foreach (var tilt in new[] { -1, 181 })
            await Assert.ThrowsAsync<HubException>(() =>
                hub.InvokeAsync("Surround", "wren", (double)tilt, false, false, false, cancel)
            );
    }

    [Fact]
    public async Task Movements_change_the_picture_that_every_watcher_sees()
    {
        await hub.InvokeAsync("Move", "wren", "throttle", 40.0, TestContext.Current.CancellationToken);
        var message = await WaitAsync(
            "wren",
            m => m.Snapshot.Trace.Stops[0].Figure == "+40" && m.Snapshot.Board.Standing == BoardStanding.NotReady
        );
        Assert.Equal(1, message.Revision);
        await hub.InvokeAsync("Move", "wren", "throttle", -100.0, TestContext.Current.CancellationToken);
        await hub.InvokeAsync("Move", "wren", "left-shoulder", 2.0, TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.Armed);
        await hub.InvokeAsync("SetLink", "wren", false, TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.NoSignal);
        await hub.InvokeAsync("SetPower", "wren", false, TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.Unpowered);
    }

    [Fact]
    public async Task A_saved_change_reaches_the_bench()
    {
        await WaitAsync("sandpiper", m => m.Snapshot.Trace.Stops[4].Figure == "roll");
        using var client = server.CreateClient();
        await SendAsync(
            client,
            HttpMethod.Post,
            "/api/setups/sandpiper/findings/channel-order/fixes/board",
            ifMatch: "\"1\""
        );
        await WaitAsync("sandpiper", m => m.Revision == 2 && m.Snapshot.Trace.Stops[4].Figure == "throttle");
    }

    [Theory]
    [InlineData("wren", "nobody", 1, "There is no control \"nobody\"")]
    [InlineData("wren", "throttle", 101, "that can be put at 101")]
    [InlineData("nobody", "throttle", 1, "There is no setup \"nobody\"")]
    public async Task A_movement_that_cannot_be_is_refused_in_words(
        string setup,
        string control,
        double setting,
        string says
    )
    {
        var error = await Assert.ThrowsAsync<HubException>(() =>
            hub.InvokeAsync("Move", setup, control, setting, TestContext.Current.CancellationToken)
        );
        Assert.Contains(says, error.Message, StringComparison.Ordinal);
    }

    // The stream ends with the first picture that is wanted; the test's own time limit ends a wait in vain.
    private async Task<BenchMessage> WaitAsync(string setup, Func<BenchMessage, bool> wanted)
    {
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(TestContext.Current.CancellationToken);
        limit.CancelAfter(TimeSpan.FromSeconds(20));
        await foreach (var message in hub.StreamAsync<BenchMessage>("Watch", setup, "throttle", limit.Token))
        {
            if (wanted(message))
                return message;
        }

        throw new InvalidOperationException("The stream ended.");
    }
}
