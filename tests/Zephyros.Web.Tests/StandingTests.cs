using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>The one verdict, what remains, ticks as evidence, names of revisions, the way back to one, and the shelf; over HTTP.</summary>
public sealed class StandingTests : IAsyncDisposable
{
    private const string Sandpiper = "/api/setups/sandpiper";
    private const string Ahead = $"{Sandpiper}/look-ahead?follow=throttle";
    private const string Judged = $"{Sandpiper}/look-ahead/verdict";

    private readonly TestServer server = new();
    private readonly HttpClient client;

    public StandingTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task The_verdict_joins_findings_and_promises_and_names_the_cause()
    {
        var view = await SettledAsync(Sandpiper);
        Assert.Equal((1, "wrong"), ((int)view["revision"]!, (string)view["verdict"]!["word"]!));
        var entries = view["verdict"]!["entries"]!.AsArray();
        Assert.Equal("channel-order", (string)entries[0]!["key"]!);
        var broken = entries
            .Where(e => e!["promises"]!.AsArray().Count > 0 && (string)e["level"]! == "danger")
            .ToArray();
        Assert.NotEmpty(broken);
        // The one fix of the order keeps all that are broken.
        Assert.All(broken, e => Assert.Equal("channel-order", (string)e!["causedBy"]!));
        Assert.All(broken, e => Assert.NotEmpty(e!["fixes"]!.AsArray()));

        // The hangar says the same once it is known.
        var listed = (await GetAsync("/api/setups")).AsArray().Single(s => (string)s!["id"]! == "sandpiper")!;
        Assert.Equal((string)view["verdict"]!["headline"]!, (string)listed["headline"]!);
        Assert.False((bool)listed["running"]!);

        // Its edit and that of the one caution leave nothing wrong, and nothing is said of the revision before.
        var fix = broken[0]!["fixes"]![0]!["edit"]!;
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", fix.ToJsonString(), "\"1\"");
        var late = (await GetAsync($"{Sandpiper}/findings")).AsArray();
        fix = Assert.Single(late)!["fixes"]![0]!["edit"]!;
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", fix.ToJsonString(), "\"2\"");
        var mended = await SettledAsync(Sandpiper);
        Assert.Equal((3, "nothing-wrong"), ((int)mended["revision"]!, (string)mended["verdict"]!["word"]!));
        Assert.Equal("done", State(await GetAsync($"{Sandpiper}/work"), "promises"));
    }

    [Fact]
    public async Task A_proof_that_was_cancelled_leaves_promises_open_and_none_of_them_to_check()
    {
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/proof", """{"twoHands":true}""");
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/proof/cancel");
        var verdict = (await GetAsync($"{Sandpiper}/verdict"))["verdict"]!;
        Assert.True((int)verdict["waiting"]! > 0);
        Assert.EndsWith("so far", (string)verdict["headline"]!, StringComparison.Ordinal);
        Assert.DoesNotContain(
            verdict["entries"]!.AsArray(),
            e => (string)e!["level"]! == "check" && e["promises"]!.AsArray().Count > 0
        );
    }

    [Fact]
    public async Task A_tick_is_kept_as_evidence_and_goes_stale_with_what_it_rests_on()
    {
        const string Tick = $"{Sandpiper}/steps/board/loss?revision=1";
        var work = await JsonAsync(await SendAsync(client, HttpMethod.Post, Tick, """{"asExpected":true}"""));
        Assert.Equal("done", Item(work, "board", "loss"));
        // A change meanwhile, and a tick of what was looked at before it.
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", Timeout(200, 300), "\"1\"");
        Assert.Equal("stale", Item(await GetAsync($"{Sandpiper}/work"), "board", "loss"));
        Assert.Equal(
            "stale",
            Item(
                await JsonAsync(await SendAsync(client, HttpMethod.Post, Tick, """{"asExpected":true}""")),
                "board",
                "loss"
            )
        );
        await SendAsync(
            client,
            HttpMethod.Post,
            $"{Sandpiper}/steps/board/loss?revision=2",
            """{"asExpected":false,"seen":" It says 200. "}"""
        );
        var failed = await GetAsync($"{Sandpiper}/work");
        Assert.Equal(("failed", "failed"), (State(failed, "board"), Item(failed, "board", "loss")));
        Assert.Equal("It says 200.", (string)Things(failed, "board").Single(i => (string)i["id"]! == "loss")["seen"]!);
        // What is ticked in one step is ticked in no other, and a copy has none.
        Assert.Equal("to-do", State(failed, "loss"));
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/copies", """{"name":"Turnstone"}""");
        Assert.Equal("to-do", State(await GetAsync("/api/setups/turnstone/work"), "board"));
        Assert.Empty((await GetAsync("/api/unreadable")).AsArray());
    }

    // 300 ms until the receiver gives up, as we assume, and 200 ms of the board; half a second for hand and eye.
    [Theory]
    [InlineData(400, "done")]
    [InlineData(1000, "done")]
    [InlineData(1001, "failed")]
    public async Task A_time_that_is_too_late_is_not_as_expected(int after, string state)
    {
        var work = await JsonAsync(
            await SendAsync(
                client,
                HttpMethod.Post,
                $"{Sandpiper}/steps/loss/armed?revision=1",
                $$"""{"asExpected":true,"after":{{after}}}"""
            )
        );
        Assert.Equal(state, Item(work, "loss", "armed"));
        Assert.Equal(after, (int)Things(work, "loss").Single(i => (string)i["id"]! == "armed")["after"]!);
    }

    [Fact]
    public async Task A_time_before_it_began_is_refused() =>
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (
                await SendAsync(
                    client,
                    HttpMethod.Post,
                    $"{Sandpiper}/steps/loss/armed?revision=1",
                    """{"asExpected":true,"after":-5}"""
                )
            ).StatusCode
        );

    [Theory]
    [InlineData("/steps/board/nothing?revision=1")]
    [InlineData("/steps/nothing/loss?revision=1")]
    [InlineData("/steps/promises/loss?revision=1")]
    [InlineData("/steps/board/loss?revision=7")]
    public async Task What_cannot_be_ticked_is_not_found(string place) =>
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Post, Sandpiper + place, """{"asExpected":true}""")).StatusCode
        );

    [Fact]
    public async Task A_revision_is_named_compared_and_gone_back_to()
    {
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", Timeout(200, 300), "\"1\"");
        var named = await JsonAsync(
            await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/revisions/1/name", """{"name":" as flown "}""")
        );
        Assert.Equal(["", "as flown"], named.AsArray().Select(r => (string)r!["name"]!));
        var changes = (await GetAsync($"{Sandpiper}/revisions/2/changes?since=1")).AsArray();
        Assert.Equal(
            """[{"where":"Board, signal timeout","before":"200 ms","after":"300 ms"}]""",
            changes.ToJsonString()
        );
        Assert.Empty((await GetAsync($"{Sandpiper}/revisions/2/changes?since=2")).AsArray());
        var back = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/revisions/1/restore", null, "\"2\"")
        );
        Assert.Equal((3, "Back to revision 1"), ((int)back["revision"]!, (string)back["undoTitle"]!));
        Assert.Equal(200, (int)back["setup"]!["board"]!["signalTimeout"]!);
        await SendAsync(client, HttpMethod.Put, $"{Sandpiper}/revisions/1/name", """{"name":""}""");
        Assert.All((await GetAsync($"{Sandpiper}/revisions")).AsArray(), r => Assert.Equal("", (string)r!["name"]!));
        foreach (
            var (method, place) in new[]
            {
                (HttpMethod.Put, "9/name"),
                (HttpMethod.Post, "9/restore"),
                (HttpMethod.Get, "9/changes?since=1"),
            }
        )
            Assert.Equal(
                HttpStatusCode.NotFound,
                (
                    await SendAsync(
                        client,
                        method,
                        $"{Sandpiper}/revisions/{place}",
                        method == HttpMethod.Get ? null : """{"name":"x"}""",
                        "\"3\""
                    )
                ).StatusCode
            );
    }

    [Fact]
    public async Task A_craft_that_is_put_away_is_brought_back_as_it_was()
    {
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/put-away")).StatusCode
        );
        Assert.Equal(["gannet", "wren"], (await GetAsync("/api/setups")).AsArray().Select(s => (string)s!["id"]!));
        var away = Assert.Single((await GetAsync("/api/put-away")).AsArray())!;
        Assert.Equal(("sandpiper", "Sandpiper"), ((string)away["id"]!, (string)away["name"]!));
        // It can still be looked at, and its name stays taken.
        Assert.Equal(1, (int)(await GetAsync(Sandpiper))["revision"]!);
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/bring-back");
        Assert.Equal(3, (await GetAsync("/api/setups")).AsArray().Count);
        Assert.Empty((await GetAsync("/api/put-away")).AsArray());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Post, "/api/setups/nobody/put-away")).StatusCode
        );
    }

    private static string Timeout(int before, int after) =>
        $$"""
            {"title":"Another timeout","operations":[
              {"op":"test","path":"/board/signalTimeout","value":{{before}}},
              {"op":"replace","path":"/board/signalTimeout","value":{{after}}}]}
            """;

    private async Task<JsonNode> GetAsync(string path) =>
        await JsonAsync(await SendAsync(client, HttpMethod.Get, path));

    // Once neither the proof nor the search for fixes goes on.
    [Fact]
    public async Task The_made_up_craft_come_into_an_empty_hangar_only()
    {
        var answer = await SendAsync(client, HttpMethod.Post, "/api/demo");
        Assert.Equal(HttpStatusCode.Conflict, answer.StatusCode);
        Assert.Equal("The made-up craft come into an empty hangar only.", (string)(await JsonAsync(answer))["detail"]!);
    }

    [Fact]
    public async Task An_edit_that_is_looked_at_tells_what_it_then_brings_and_saves_nothing()
    {
        var before = await SettledAsync(Sandpiper);
        var fix = before["verdict"]!["entries"]!.AsArray().First(e => e!["fixes"]!.AsArray().Count > 0)!["fixes"]![0]![
            "edit"
        ]!;
        var ahead = await LookedAsync(fix.ToJsonString());
        Assert.Empty(ahead["verdict"]!["lost"]!.AsArray());
        var seen = await JsonAsync(await SendAsync(client, HttpMethod.Post, Ahead, fix.ToJsonString()));
        Assert.True((bool)seen["path"]!["changes"]!);
        Assert.Equal("Model, Pitch, number", (string)seen["changes"]![0]!["where"]!);
        Assert.Equal(["Throttle arrives as roll"], ahead["verdict"]!["gone"]!.AsArray().Select(Text));
        // A limit that the board does not keep.
        var worse = """{"title":"x","operations":[{"op":"replace","path":"/limits/lossNoticedWithin","value":100}]}""";
        var lost = (await LookedAsync(worse))["verdict"]!;
        Assert.NotEmpty(lost["lost"]!.AsArray());
        Assert.Equal(
            (1, "wrong"),
            ((int)before["revision"]!, (string)(await SettledAsync(Sandpiper))["verdict"]!["word"]!)
        );
        // What was told comes.
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", fix.ToJsonString(), "\"1\"");
        var after = await SettledAsync(Sandpiper);
        Assert.Equal(
            (int)before["verdict"]!["proven"]! + ahead["verdict"]!["gained"]!.AsArray().Count,
            (int)after["verdict"]!["proven"]!
        );
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", worse, "\"2\"");
        var broken = (await SettledAsync(Sandpiper))["verdict"]!["entries"]!.AsArray();
        Assert.Equal(
            lost["lost"]!.AsArray().Select(p => $"Not kept: {p!["name"]}"),
            broken.Where(e => e!["promises"]!.AsArray().Count > 0).Select(e => (string)e!["title"]!)
        );
    }

    [Theory]
    [InlineData("""{"title":"x","operations":[{"op":"replace","path":"/craft/cells","value":99}]}""", 400)]
    [InlineData("""{"title":"x","operations":[{"op":"test","path":"/craft/name","value":"no"}]}""", 409)]
    [InlineData("{", 400)]
    public async Task An_edit_that_cannot_be_made_cannot_be_looked_at(string edit, int status)
    {
        foreach (var place in new[] { Ahead, Judged })
            Assert.Equal(status, (int)(await SendAsync(client, HttpMethod.Post, place, edit)).StatusCode);
    }

    private async Task<JsonNode> LookedAsync(string edit)
    {
        while (true)
        {
            var view = await JsonAsync(await SendAsync(client, HttpMethod.Post, Judged, edit));
            if (!(bool)view["running"]!)
                return view;
            await Task.Delay(50, TestContext.Current.CancellationToken);
        }
    }

    private static string Text(JsonNode? node) => (string)node!;

    private async Task<JsonNode> SettledAsync(string setup)
    {
        while (true)
        {
            var view = await GetAsync($"{setup}/verdict");
            if (!(bool)view["running"]! && !(bool)view["searching"]!)
                return view;
            await Task.Delay(50, TestContext.Current.CancellationToken);
        }
    }

    private static JsonNode Step(JsonNode view, string step) =>
        view["work"]!["steps"]!.AsArray().Single(s => (string)s!["id"]! == step)!;

    private static string State(JsonNode view, string step) => (string)Step(view, step)["state"]!;

    private static IEnumerable<JsonNode> Things(JsonNode view, string step) =>
        Step(view, step)["items"]!.AsArray().Select(i => i!);

    private static string Item(JsonNode view, string step, string item) =>
        (string)Things(view, step).Single(i => (string)i["id"]! == item)["state"]!;
}
