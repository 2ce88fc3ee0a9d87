using Microsoft.AspNetCore.SignalR;
using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;
using Zephyros.Core.Bench;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Setups.Json;
using Zephyros.Web.Bench;
using Zephyros.Web.Contracts;
using Zephyros.Web.Start;
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
        await hub.InvokeAsync("Report", new ReportCall("sandpiper", "distance", 900.0), cancel);
        var message = await WaitAsync("sandpiper", m => m.Snapshot.State == "rescue");
        Assert.Equal(900, message.Snapshot.Readings["distance"].Value);
        await Assert.ThrowsAsync<HubException>(() =>
            hub.InvokeAsync("Report", new ReportCall("sandpiper", "nobody", 1.0), cancel)
        );
        await Assert.ThrowsAsync<HubException>(() =>
            hub.InvokeAsync("Report", new ReportCall("nobody", "distance", 1.0), cancel)
        );
    }

    // Random calls with random values: each is done or refused, and every bench goes on.
    [Fact]
    public async Task Whatever_is_called_every_bench_stays_alive()
    {
        var cancel = TestContext.Current.CancellationToken;
        var random = new Random(41);
        string[] setups = ["sandpiper", "wren", "gannet"];
        double[] values =
        [
            0,
            1,
            2,
            100,
            -100,
            0.5,
            900,
            1e6,
            -1e6,
            1e7,
            1e308,
            -1e308,
            double.Epsilon,
            double.MaxValue,
        ];
        T Pick<T>(T[] from) => from[random.Next(from.Length)];
        string Word(params string[] known) => random.Next(10) == 0 ? "nobody" : Pick(known);
        object Call(string name)
        {
            var setup = Word(setups);
            return name switch
            {
                "Move" => Put(setup, Word("throttle", "left-shoulder", "selector", "tracker"), Pick(values)),
                "Report" => new ReportCall(setup, Word("distance", "voltage", "quality"), Pick(values)),
                "SetLink" or "SetPower" or "TryLoss" => new SwitchCall(setup, random.Next(2) == 0),
                "Surround" => new SurroundCall(setup, Pick(values), random.Next(2) == 0, random.Next(2) == 0, false),
                "SetDistance" => new DistanceCall(setup, random.Next(3) == 0 ? null : Pick(values)),
                "Guide" => new GuideCall(setup, Pick(Enum.GetValues<RoutineKind>())),
                _ => new BenchCall(setup),
            };
        }

        string[] names =
        [
            "Move",
            "Report",
            "SetLink",
            "SetPower",
            "Surround",
            "SetDistance",
            "Guide",
            "SkipStep",
            "TryLoss",
            "WatchBars",
        ];
        var until = DateTime.UtcNow.AddSeconds(Environment.GetEnvironmentVariable("DEEP") == "1" ? 60 : 0);
        var (done, refused) = (0, 0);
        while (done + refused < 400 || DateTime.UtcNow < until)
        {
            var name = Pick(names);
            try
            {
                await hub.InvokeAsync(name, Call(name), cancel);
                done++;
            }
            catch (HubException)
            {
                refused++;
            }
        }

        Assert.True(done > 100 && refused > 50, $"{done} done, {refused} refused");
        foreach (var setup in setups)
            Assert.NotEmpty((await WaitAsync(setup, _ => true)).Snapshot.Sent);
    }

    [Fact]
    public async Task One_page_watches_only_so_many_benches_and_may_go_on_when_one_ends()
    {
        var cancel = TestContext.Current.CancellationToken;
        var streams = new List<IAsyncEnumerator<BenchMessage>>();
        using var one = CancellationTokenSource.CreateLinkedTokenSource(cancel);
        for (var i = 0; i < BenchHub.MostWatched; i++)
        {
            var ends = i == 0 ? one.Token : cancel;
            streams.Add(
                hub.StreamAsync<BenchMessage>("Watch", new WatchCall("wren", "throttle", false), ends)
                    .GetAsyncEnumerator(ends)
            );
            Assert.True(await streams[^1].MoveNextAsync());
        }

        var refused = await Assert.ThrowsAsync<HubException>(async () =>
        {
            await foreach (
                var _ in hub.StreamAsync<BenchMessage>("Watch", new WatchCall("wren", "throttle", false), cancel)
            )
                break;
        });
        Assert.Contains("8 benches at once", refused.Message, StringComparison.Ordinal);
        await one.CancelAsync();
        // The server learns of it a little later.
        while (await Record.ExceptionAsync(() => WaitAsync("wren", _ => true)) is { } full)
            Assert.Contains("8 benches at once", full.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_craft_is_tilted_and_connected_over_the_hub_within_bounds()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("Surround", new SurroundCall("wren", 45.0, true, false, false), cancel);
        var message = await WaitAsync("wren", m => m.Snapshot.Surroundings.Connected);
        Assert.Equal(45, message.Snapshot.Surroundings.Tilt.Value);
        foreach (var tilt in new[] { -0.1, 180.1 })
            await Assert.ThrowsAsync<HubException>(() =>
                hub.InvokeAsync("Surround", new SurroundCall("wren", tilt, false, false, false), cancel)
            );
        Assert.Equal(45, (await WaitAsync("wren", _ => true)).Snapshot.Surroundings.Tilt.Value);
        foreach (var tilt in new[] { 0.0, 180 })
        {
            await hub.InvokeAsync("Surround", new SurroundCall("wren", tilt, false, true, true), cancel);
            Assert.Equal(
                // Wren has no position receiver: no fix, whatever is asked for.
                new Core.Board.Surroundings(new(tilt), false, true, false),
                (await WaitAsync("wren", _ => true)).Snapshot.Surroundings
            );
        }
    }

    [Fact]
    public async Task The_craft_is_carried_away_up_to_ten_thousand_kilometres_and_back()
    {
        var cancel = TestContext.Current.CancellationToken;
        foreach (var far in new[] { 0, -1, 10_000.1 })
            await Assert.ThrowsAsync<HubException>(() =>
                hub.InvokeAsync("SetDistance", new DistanceCall("wren", far), cancel)
            );
        Assert.Null((await WaitAsync("wren", _ => true)).Snapshot.Air);
        foreach (var far in new[] { 10_000, 0.001 })
        {
            await hub.InvokeAsync("SetDistance", new DistanceCall("wren", far), cancel);
            Assert.Equal(far, (await WaitAsync("wren", _ => true)).Snapshot.Air!.Distance.Value);
        }

        await hub.InvokeAsync("SetDistance", new DistanceCall("wren", null), cancel);
        Assert.Null((await WaitAsync("wren", _ => true)).Snapshot.Air);
    }

    [Fact]
    public async Task A_routine_is_begun_a_step_left_out_and_ended()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("Guide", new GuideCall("wren", RoutineKind.Sticks), cancel);
        var first = (await WaitAsync("wren", m => m.Snapshot.Routine is not null)).Snapshot.Routine!;
        await hub.InvokeAsync("SkipStep", new BenchCall("wren"), cancel);
        await WaitAsync("wren", m => m.Snapshot.Routine!.Prompt != first.Prompt);
        await hub.InvokeAsync("Guide", new GuideCall("wren", RoutineKind.None), cancel);
        await WaitAsync("wren", m => m.Snapshot.Routine is null);
    }

    [Fact]
    public async Task A_loss_is_tried_and_goes_on_by_what_the_board_does()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("TryLoss", new SwitchCall("wren", true), cancel);
        await WaitAsync("wren", m => m.Snapshot.Trial is { Problem: "" });
        await hub.InvokeAsync("Move", Put("wren", "left-shoulder", 2), cancel);
        await WaitAsync("wren", m => m.Snapshot.Trial!.Prompt == "Switch the transmitter off.");
        await hub.InvokeAsync("SetLink", new SwitchCall("wren", false), cancel);
        var stopped = await WaitAsync("wren", m => m.Snapshot.Trial!.Steps.Any(s => s is { Id: "stops", Came: true }));
        Assert.InRange(stopped.Snapshot.Trial!.Steps.Single(s => s.Id == "stops").Took!.Value.Value, 1, 150);
        await hub.InvokeAsync("SetLink", new SwitchCall("wren", true), cancel);
        await hub.InvokeAsync("Move", Put("wren", "left-shoulder", 1), cancel);
        await hub.InvokeAsync("TryLoss", new SwitchCall("wren", false), cancel);
        await WaitAsync("wren", m => m.Snapshot.Trial is null);
    }

    [Fact]
    public async Task The_bars_are_watched_anew()
    {
        var cancel = TestContext.Current.CancellationToken;
        await hub.InvokeAsync("Move", Put("wren", "throttle", 100.0), cancel);
        await WaitAsync("wren", m => Throttle(m)?.Now.Value > 1900);
        await hub.InvokeAsync("Move", Put("wren", "throttle", -100.0), cancel);
        var swept = Throttle(await WaitAsync("wren", m => Throttle(m)!.Now.Value < 1100))!;
        Assert.True(swept.High.Value > 1900);
        await hub.InvokeAsync("WatchBars", new BenchCall("wren"), cancel);
        await WaitAsync("wren", m => Throttle(m)?.High.Value < 1100);
        static BarTravel? Throttle(BenchMessage message) => message.Snapshot.Bars.GetValueOrDefault("throttle");
    }

    // A message may have 4 kB; more ends the connection, and nothing is done.
    [Fact]
    public async Task A_message_that_is_too_long_ends_the_connection()
    {
        var cancel = TestContext.Current.CancellationToken;
        var longName = new string('x', 3500);
        // What was asked fails a moment before the connection is said to be closed.
        var closed = new TaskCompletionSource();
        hub.Closed += _ =>
        {
            closed.TrySetResult();
            return Task.CompletedTask;
        };
        await Assert.ThrowsAsync<HubException>(() => hub.InvokeAsync("Move", Put("wren", longName, 1.0), cancel));
        await Assert.ThrowsAnyAsync<Exception>(() =>
            hub.InvokeAsync("Move", Put("wren", longName + longName, 1.0), cancel)
        );
        await closed.Task.WaitAsync(TimeSpan.FromSeconds(20), cancel);
        Assert.Equal(HubConnectionState.Disconnected, hub.State);
    }

    [Fact]
    public async Task Movements_change_the_picture_that_every_watcher_sees()
    {
        await hub.InvokeAsync("Move", Put("wren", "throttle", 40.0), TestContext.Current.CancellationToken);
        var message = await WaitAsync(
            "wren",
            m => m.Snapshot.Trace.Stops[0].Figure == "+40" && m.Snapshot.Board.Standing == BoardStanding.NotReady
        );
        Assert.Equal(1, message.Revision);
        await hub.InvokeAsync("Move", Put("wren", "throttle", -100.0), TestContext.Current.CancellationToken);
        await hub.InvokeAsync("Move", Put("wren", "left-shoulder", 2.0), TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.Armed);
        await hub.InvokeAsync("SetLink", new SwitchCall("wren", false), TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.NoSignal);
        await hub.InvokeAsync("SetPower", new SwitchCall("wren", false), TestContext.Current.CancellationToken);
        await WaitAsync("wren", m => m.Snapshot.Board.Standing == BoardStanding.Unpowered);
    }

    [Fact]
    public async Task Controls_are_moved_together_or_not_at_all()
    {
        var cancel = TestContext.Current.CancellationToken;
        var both = new Dictionary<string, double>(StringComparer.Ordinal) { ["roll"] = 30, ["pitch"] = -20 };
        await hub.InvokeAsync("Move", new MoveCall("wren", both), cancel);
        var moved = await WaitAsync("wren", m => m.Snapshot.Settings["roll"] != 0);
        Assert.Equal(-20, moved.Snapshot.Settings["pitch"]);
        var wrong = new Dictionary<string, double>(both, StringComparer.Ordinal) { ["roll"] = 50, ["yaw"] = 101 };
        var error = await Assert.ThrowsAsync<HubException>(() =>
            hub.InvokeAsync("Move", new MoveCall("wren", wrong), cancel)
        );
        Assert.Contains("\"yaw\" that can be put at 101", error.Message, StringComparison.Ordinal);
        Assert.Equal(30, (await WaitAsync("wren", _ => true)).Snapshot.Settings["roll"]);
    }

    [Fact]
    public async Task A_page_follows_another_control_and_asks_for_the_sums_while_it_watches()
    {
        var cancel = TestContext.Current.CancellationToken;
        var pictures = hub.StreamAsync<BenchMessage>("Watch", new WatchCall("wren", "throttle", false), cancel)
            .GetAsyncEnumerator(cancel);
        Assert.True(await pictures.MoveNextAsync());
        Assert.All(pictures.Current.Snapshot.Trace.Stops, s => Assert.Empty(s.Working));
        await hub.InvokeAsync("Follow", new WatchCall("wren", "roll", true), cancel);
        do Assert.True(await pictures.MoveNextAsync());
        while (pictures.Current.Snapshot.Trace.Control != "roll");
        Assert.All(pictures.Current.Snapshot.Trace.Stops, s => Assert.NotEmpty(s.Working));
        await pictures.DisposeAsync();
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
            hub.InvokeAsync("Move", Put(setup, control, setting), TestContext.Current.CancellationToken)
        );
        Assert.Contains(says, error.Message, StringComparison.Ordinal);
    }

    public static TheoryData<string> Calls => [.. OpenApiHub.Methods().Select(m => m.Name)];

    // Whatever else it says: the hub takes what the contract says it does.
    [Theory]
    [MemberData(nameof(Calls))]
    public async Task Every_call_of_the_contract_asks_for_a_bench(string method)
    {
        var constructor = OpenApiHub.Methods().Single(m => m.Name == method).Call.GetConstructors().Single();
        var call = constructor.Invoke([
            .. constructor
                .GetParameters()
                .Select(p =>
                    p.ParameterType == typeof(string) ? "nobody"
                    : p.ParameterType.IsInterface ? new Dictionary<string, double>(StringComparer.Ordinal)
                    : Activator.CreateInstance(p.ParameterType)
                ),
        ]);
        var cancel = TestContext.Current.CancellationToken;
        var refused = await Assert.ThrowsAsync<HubException>(async () =>
        {
            if (method != "Watch")
                await hub.InvokeAsync(method, call, cancel);
            else
                await foreach (var _ in hub.StreamAsync<BenchMessage>(method, call, cancel))
                    break;
        });
        Assert.Contains("There is no setup \"nobody\".", refused.Message, StringComparison.Ordinal);
    }

    // The stream ends with the first picture that is wanted; the test's own time limit ends a wait in vain.
    private async Task<BenchMessage> WaitAsync(string setup, Func<BenchMessage, bool> wanted)
    {
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(TestContext.Current.CancellationToken);
        limit.CancelAfter(TimeSpan.FromSeconds(20));
        await foreach (
            var message in hub.StreamAsync<BenchMessage>("Watch", new WatchCall(setup, "throttle", false), limit.Token)
        )
        {
            if (wanted(message))
                return message;
        }

        throw new InvalidOperationException("The stream ended.");
    }
}
