using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Zephyros.Storage;
using Zephyros.Web.Proofs;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Runs of the proof: which revision they are of, how they are wished, cancelled and replaced.</summary>
public sealed class ProofRunTests : IAsyncDisposable
{
    private const string Gannet = "/api/setups/gannet";
    private const string Rename =
        """{"title":"x","operations":[{"op":"replace","path":"/craft/summary","value":"other"}]}""";

    private const string Widen =
        """{"title":"x","operations":[{"op":"add","path":"/limits/lossNoticedWithin","value":900}]}""";

    private readonly TestServer server = new();
    private readonly HttpClient client;

    public ProofRunTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_run_is_of_the_newest_revision_and_keeps_how_it_was_wished()
    {
        var first = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Gannet}/proof"));
        Assert.Equal((1, false, 120), Wish(first));
        Assert.False((bool)first["cancelled"]!);
        const string Wished = """{"twoHands":true,"seconds":30}""";
        Assert.Equal(
            (1, true, 30),
            Wish(await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof", Wished)))
        );
        // Looked at again it is the same run; after an edit it is another, wished as the one before.
        Assert.Equal((1, true, 30), Wish(await DoneAsync()));
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/edits", Rename, "\"1\"");
        Assert.Equal((2, true, 30), Wish(await DoneAsync()));
    }

    [Fact]
    public async Task A_run_that_has_ended_is_not_cancelled_any_more_and_stays()
    {
        var done = await DoneAsync();
        Assert.All(done["promises"]!.AsArray(), p => Assert.NotEqual("waiting", (string)p!["state"]!));
        var after = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof/cancel"));
        Assert.False((bool)after["cancelled"]!);
        Assert.Equal(States(done), States(after));
        // Only a promise that is broken or empty has fixes.
        var kept = done["promises"]!.AsArray().First(p => (string)p!["state"]! == "proven")!["code"]!;
        Assert.Empty(
            (await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Gannet}/proof/{kept}/fixes"))).AsArray()
        );
        var nothing = await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof/{kept}/bench/0");
        Assert.Equal(HttpStatusCode.NotFound, nothing.StatusCode);
    }

    [Fact]
    public async Task A_run_that_is_cancelled_says_so_of_each_promise_that_it_did_not_reach()
    {
        await SendAsync(client, HttpMethod.Post, "/api/setups/sandpiper/proof", """{"twoHands":true}""");
        // It waits for its turn behind the first, or is among its first promises.
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof", """{"twoHands":true}""");
        var view = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof/cancel"));
        Assert.Equal((false, true), ((bool)view["running"]!, (bool)view["cancelled"]!));
        var last = view["promises"]!.AsArray()[^1]!;
        Assert.Equal(
            ("not-proven", "It was cancelled before its turn."),
            ((string)last["state"]!, (string)last["reason"]!)
        );
        // Begun again it comes to its end.
        await SendAsync(client, HttpMethod.Post, "/api/setups/sandpiper/proof/cancel");
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof", """{"twoHands":false}""");
        var again = await DoneAsync();
        Assert.False((bool)again["cancelled"]!);
        Assert.DoesNotContain(
            again["promises"]!.AsArray(),
            p => ((string)p!["reason"]!).Contains("cancelled", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task What_was_proven_once_is_known_after_an_undo_and_when_a_promise_is_decided()
    {
        var first = Times(await DoneAsync());
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/edits", Rename, "\"1\"");
        Assert.Equal(first, Times(await DoneAsync()));
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/edits", Widen, "\"2\"");
        Assert.NotEqual(first, Times(await DoneAsync()));
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/undo", null, "\"3\"");
        var undone = await DoneAsync();
        Assert.Equal(first, Times(undone));
        await SendAsync(
            client,
            HttpMethod.Put,
            $"{Gannet}/proof/no-leap",
            """{"on":false,"note":"x"}""",
            $"\"{undone["revision"]}\""
        );
        var decided = await DoneAsync();
        Assert.Equal(
            "off",
            (string)decided["promises"]!.AsArray().Single(p => (string)p!["code"]! == "no-leap")!["state"]!
        );
        Assert.Equal(first.Where(t => t.Code != "no-leap"), Times(decided).Where(t => t.Code != "no-leap"));
        // Who asks for a proof gets one.
        await SendAsync(client, HttpMethod.Post, $"{Gannet}/proof", """{"twoHands":false}""");
        Assert.NotEqual(Times(decided), Times(await DoneAsync()));
    }

    [Fact]
    public async Task What_nobody_looks_at_any_more_gives_way_unless_it_was_asked_for()
    {
        var clock = new HandClock();
        using var runs = new ProofRuns(
            server.Services.GetRequiredService<SetupStore>(),
            new KnownVerdicts(),
            clock,
            runsAtOnce: 0
        );
        var (left, asked) = (runs.Enter("gannet")!, runs.Begin("wren", new(TwoHands: false))!);
        var waiting = runs.Enter("sandpiper")!;
        clock.Passes(TimeSpan.FromSeconds(5));
        Assert.Same(waiting, runs.Enter("sandpiper"));
        Assert.False(left.GaveWay);
        clock.Passes(TimeSpan.FromTicks(1));
        Assert.Same(waiting, runs.Enter("sandpiper"));
        Assert.Equal((true, false, false), (left.GaveWay, asked.GaveWay, waiting.GaveWay));
        await left.Finished;
        // Looked at again it begins again, and nothing is left that would have to give way for it.
        var again = runs.Enter("gannet")!;
        Assert.NotSame(left, again);
        Assert.True(again.View().Running);
    }

    [Fact]
    public async Task A_search_for_fixes_takes_its_turn_as_proofs_do_and_gives_way_when_nobody_looks_or_waits()
    {
        var (store, known, clock) = (
            server.Services.GetRequiredService<SetupStore>(),
            new KnownVerdicts(),
            new HandClock()
        );
        using (var before = new ProofRuns(store, known, clock, runsAtOnce: 1))
            await before.Enter("gannet")!.Finished;
        // All of gannet is known, and there is no room for anything.
        using var runs = new ProofRuns(store, known, clock, runsAtOnce: 0);
        var left = runs.Enter("gannet")!;
        await left.Finished;
        var search = left.Fixes();
        Assert.True(left.Waits);
        var waiting = runs.Enter("wren")!;
        clock.Passes(TimeSpan.FromSeconds(5));
        runs.Enter("wren");
        Assert.False(search.IsCompleted);
        clock.Passes(TimeSpan.FromTicks(1));
        runs.Enter("wren");
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => search);
        Assert.False(left.GaveWay);
        // Looked at again it is searched anew; who waits for it looks at it.
        Assert.Same(left, runs.Enter("gannet"));
        clock.Passes(TimeSpan.FromSeconds(6));
        using var patience = new CancellationTokenSource();
        var waitedFor = runs.FixesAsync(left, patience.Token);
        Assert.Equal(clock.GetTimestamp(), left.Seen);
        search = left.Fixes();
        await patience.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => waitedFor);
        Assert.False(search.IsCompleted);
        Assert.True(waiting.Waits);
    }

    [Fact]
    public async Task Fixes_that_were_found_once_are_known_of_a_craft_by_another_name_and_looked_for_anew_when_asked()
    {
        var (store, known) = (server.Services.GetRequiredService<SetupStore>(), new KnownVerdicts());
        using (var before = new ProofRuns(store, known, TimeProvider.System, runsAtOnce: 1))
        {
            // What is found after a run that was cancelled is not all that there is.
            var run = before.Enter("gannet")!;
            run.Cancel();
            await run.Finished;
            await run.Fixes();
            Assert.Null(known.FindFixes(KnownVerdicts.FixesFingerprint(run.Setup), twoHands: false));
            run = before.Begin("gannet", new(TwoHands: false))!;
            await run.Finished;
            Assert.NotEmpty(await run.Fixes());
        }

        await SendAsync(client, HttpMethod.Post, $"{Gannet}/edits", Rename, "\"1\"");
        using var runs = new ProofRuns(store, known, TimeProvider.System, runsAtOnce: 0);
        Assert.True(runs.Enter("gannet")!.Fixes().IsCompletedSuccessfully);
        Assert.False(runs.Begin("gannet", new(TwoHands: false))!.Fixes().IsCompleted);
        // What is decided about a promise may make another way the better one.
        const string Off = """{"on":false,"note":"x"}""";
        await SendAsync(client, HttpMethod.Put, $"{Gannet}/proof/no-leap", Off, "\"2\"");
        Assert.False(runs.Enter("gannet")!.Fixes().IsCompleted);
    }

    [Theory]
    [InlineData(-1, HttpStatusCode.NotFound)]
    [InlineData(0, HttpStatusCode.OK)]
    public async Task A_step_is_one_of_the_sequence(int step, HttpStatusCode status)
    {
        await DoneAsync("/api/setups/sandpiper");
        Assert.Equal(
            status,
            (await SendAsync(client, HttpMethod.Post, $"/api/setups/sandpiper/proof/no-leap/bench/{step}")).StatusCode
        );
    }

    private static (int, bool, int) Wish(JsonNode view) =>
        ((int)view["revision"]!, (bool)view["twoHands"]!, (int)view["seconds"]!);

    private static IEnumerable<string> States(JsonNode view) =>
        view["promises"]!.AsArray().Select(p => (string)p!["state"]!);

    // How long each promise took when it was proven, which no two proofs share.
    private static IReadOnlyList<(string Code, int Milliseconds)> Times(JsonNode view) =>
        [.. view["promises"]!.AsArray().Select(p => ((string)p!["code"]!, (int)p["milliseconds"]!))];

    private async Task<JsonNode> DoneAsync(string setup = Gannet)
    {
        while (true)
        {
            var view = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{setup}/proof"));
            if (!(bool)view["running"]!)
                return view;
            await Task.Delay(50, TestContext.Current.CancellationToken);
        }
    }
}
