using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Zephyros.Core.Units;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

public sealed class SetupEndpointTests : IDisposable
{
    private const string Sandpiper = "/api/setups/sandpiper";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public SetupEndpointTests() => client = server.CreateClient();

    public void Dispose()
    {
        client.Dispose();
        server.Dispose();
    }

    [Fact]
    public async Task The_demo_craft_are_in_the_hangar_with_what_is_wrong()
    {
        var list = await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups"));
        Assert.Equal(["gannet", "sandpiper", "wren"], list.AsArray().Select(s => (string)s!["id"]!));
        Assert.Equal("Throttle arrives as roll", (string)list[1]!["lines"]![0]!["title"]!);
        // Wren's seven planted faults; what its proof says besides comes later.
        string[] stations = ["model", "model", "model", "board", "model", "return", "return"];
        Assert.Equal(
            stations,
            list[2]!["lines"]!.AsArray().Where(l => l!["station"] is not null).Select(l => (string)l!["station"]!)
        );
        Assert.All(list.AsArray(), s => Assert.Equal("wrong", (string)s!["word"]!));
    }

    [Fact]
    public async Task Figures_are_told_with_where_they_come_from()
    {
        var figures = (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/figures"))).AsArray();
        Assert.Equal(FigureRegister.All.Select(f => f.Id), figures.Select(f => (string)f!["id"]!));
        var step = figures.Single(f => (string)f!["id"]! == "Bands.Step")!;
        Assert.Equal(("25 µs", "board"), ((string)step["words"]!, (string)step["station"]!));
        Assert.Equal(
            ("from-memory", "From memory."),
            ((string)step["from"]!["kind"]!, (string)step["from"]!["words"]!)
        );
    }

    [Fact]
    public async Task A_fix_is_applied_undone_and_done_again()
    {
        var before = await ExportAsync();
        var applied = await SendAsync(
            client,
            HttpMethod.Post,
            $"{Sandpiper}/findings/channel-order/fixes/transmitter",
            ifMatch: "\"1\""
        );
        Assert.Equal((HttpStatusCode.OK, "\"2\""), (applied.StatusCode, applied.Headers.ETag!.Tag));
        var left = (await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/findings"))).AsArray();
        Assert.Equal(["trigger-beyond:far-out"], left.Select(f => (string)f!["key"]!));
        Assert.Equal(
            "AETR",
            (string)(await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/view")))["sentOrder"]!
        );

        var undone = await JsonAsync(await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/undo", ifMatch: "\"2\""));
        Assert.Equal("Send A E T R", (string)undone["redoTitle"]!);
        Assert.Equal(before, await ExportAsync());

        var redone = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/redo", ifMatch: "\"3\"");
        Assert.Equal(HttpStatusCode.OK, redone.StatusCode);
        var history = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/revisions"));
        Assert.Equal(["redo", "undo", "edit", "create"], history.AsArray().Select(r => (string)r!["kind"]!));
        var nothing = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/redo", ifMatch: "\"4\"");
        Assert.Equal(HttpStatusCode.Conflict, nothing.StatusCode);
    }

    [Fact]
    public async Task A_downloaded_setup_can_be_loaded_again()
    {
        var file = await ExportAsync();
        var loaded = await SendAsync(client, HttpMethod.Post, "/api/setups", file);
        Assert.Equal(
            (HttpStatusCode.Created, "/api/setups/sandpiper-2"),
            (loaded.StatusCode, loaded.Headers.Location!.ToString())
        );
        Assert.Equal(file, await ExportAsync("/api/setups/sandpiper-2"));
    }

    [Fact]
    public async Task A_copy_gets_a_name_of_its_own()
    {
        var copy = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/copies", """{"name":"Turnstone"}""")
        );
        Assert.Equal(("turnstone", "Turnstone"), ((string)copy["id"]!, (string)copy["setup"]!["craft"]!["name"]!));
        Assert.Equal("TURNSTONE", (string)copy["setup"]!["model"]!["name"]!);
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/copies", """{"name":""}""")).StatusCode
        );
    }

    [Fact]
    public async Task A_proposed_order_is_an_edit_that_can_be_applied()
    {
        var proposal = await (
            await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/proposals/channel-order/RTEA")
        ).Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.Equal(
            HttpStatusCode.OK,
            (await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", proposal, "\"1\"")).StatusCode
        );
        Assert.Equal(
            "RTEA",
            (string)(await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/view")))["sentOrder"]!
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/proposals/channel-order/RTEE")).StatusCode
        );
    }

    private const string GoodEdit =
        """{"title":"x","operations":[{"op":"replace","path":"/board/map","value":"TAER"}]}""";

    [Theory]
    [InlineData(null, GoodEdit, HttpStatusCode.PreconditionRequired, "If-Match")]
    [InlineData("1", GoodEdit, HttpStatusCode.BadRequest, "quotes")]
    [InlineData("\"7\"", GoodEdit, HttpStatusCode.PreconditionFailed, "revision 1")]
    [InlineData("\"1\"", "{", HttpStatusCode.BadRequest, "line 1")]
    [InlineData("\"1\"", "null", HttpStatusCode.BadRequest, "null")]
    [InlineData("\"1\"", """{"title":"","operations":[]}""", HttpStatusCode.BadRequest, "/title")]
    [InlineData("\"1\"", """{"title":"x"}""", HttpStatusCode.BadRequest, "operations")]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"move","path":"/a"}]}""",
        HttpStatusCode.BadRequest,
        "/operations/0/op"
    )]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"add","path":"/craft/x","value":{"a":1,"a":2}}]}""",
        HttpStatusCode.BadRequest,
        "uplicate"
    )]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"replace","path":"/nowhere/at/all","value":1}]}""",
        HttpStatusCode.BadRequest,
        "/nowhere/at/all"
    )]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"replace","path":"/board/map","value":"AAET"}]}""",
        HttpStatusCode.BadRequest,
        "Board, map: \"AAET\""
    )]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"replace","path":"/model/channels/arm/number","value":17}]}""",
        HttpStatusCode.BadRequest,
        "/model/channels/arm/number"
    )]
    [InlineData(
        "\"1\"",
        """{"title":"x","operations":[{"op":"test","path":"/board/map","value":"RTEA"}]}""",
        HttpStatusCode.Conflict,
        "/board/map"
    )]
    public async Task A_bad_edit_is_refused_with_the_place_and_stores_nothing(
        string? ifMatch,
        string body,
        HttpStatusCode status,
        string says
    )
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", body, ifMatch);
        await AssertRefusedAsync(answer, status, says);
        Assert.Equal(1, (int)(await JsonAsync(await SendAsync(client, HttpMethod.Get, Sandpiper)))["revision"]!);
    }

    public static TheoryData<string, HttpStatusCode, string> BadFiles =>
        new()
        {
            { "this is not JSON", HttpStatusCode.BadRequest, "line 1" },
            { """{"format":"zephyros-setup","version":9}""", HttpStatusCode.BadRequest, "Version: " },
            { string.Concat(Enumerable.Repeat("[", 10_000)), HttpStatusCode.BadRequest, "depth" },
            { new string(' ', 50 * 1024 * 1024), HttpStatusCode.RequestEntityTooLarge, "1024 kB" },
        };

    [Theory]
    [MemberData(nameof(BadFiles))]
    public async Task A_bad_file_is_refused_with_the_place_and_stores_nothing(
        string body,
        HttpStatusCode status,
        string says
    )
    {
        await AssertRefusedAsync(await SendAsync(client, HttpMethod.Post, "/api/setups", body), status, says);
        Assert.Equal(3, (await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups"))).AsArray().Count);
    }

    [Fact]
    public async Task Bytes_that_are_no_text_are_refused()
    {
        using var body = new ByteArrayContent([0xFF, 0xFE, 0x00, 0x80]);
        var unnamed = await client.PostAsync("/api/setups", body, TestContext.Current.CancellationToken);
        await AssertRefusedAsync(unnamed, HttpStatusCode.UnsupportedMediaType, "application/json");
        body.Headers.ContentType = new("application/json");
        var answer = await client.PostAsync("/api/setups", body, TestContext.Current.CancellationToken);
        await AssertRefusedAsync(answer, HttpStatusCode.BadRequest, "line 1");
    }

    [Theory]
    [InlineData("GET", "/api/setups/nobody")]
    [InlineData("GET", "/api/setups/nobody/view")]
    [InlineData("GET", "/api/setups/nobody/findings")]
    [InlineData("GET", "/api/setups/nobody/revisions")]
    [InlineData("GET", "/api/setups/nobody/export")]
    [InlineData("GET", "/api/setups/nobody/bench")]
    [InlineData("GET", "/api/setups/sandpiper/revisions/99")]
    [InlineData("POST", "/api/setups/nobody/undo")]
    [InlineData("POST", "/api/setups/sandpiper/findings/nothing/fixes/at-all")]
    [InlineData("GET", "/api/no-such-thing")]
    public async Task What_is_not_there_is_a_problem_404(string method, string path) =>
        await AssertRefusedAsync(
            await SendAsync(client, new HttpMethod(method), path, ifMatch: "\"1\""),
            HttpStatusCode.NotFound,
            "There is no"
        );

    [Fact]
    public async Task A_finding_is_kept_with_a_reason_only_where_that_is_allowed()
    {
        var answer = await SendAsync(
            client,
            HttpMethod.Put,
            $"{Sandpiper}/findings/channel-order/justification",
            """{"note":"please"}""",
            "\"1\""
        );
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        // Sandpiper's arm function on a switch of three positions, with a band that two of them share.
        const string Shared =
            """{"title":"x","operations":[{"op":"replace","path":"/board/functions/arm/aux","value":2},{"op":"replace","path":"/board/functions/arm/control","value":"right-front-inner"},{"op":"replace","path":"/board/functions/arm/low","value":1300}]}""";
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", Shared, "\"1\"");
        const string Justification = $"{Sandpiper}/findings/arm-band-shared:arm/justification";
        await SendAsync(client, HttpMethod.Put, Justification, """{"note":"far will also return home"}""", "\"2\"");
        Assert.Equal("far will also return home", (string?)(await SharedAsync())["justification"]);
        await SendAsync(client, HttpMethod.Put, Justification, """{"note":""}""", "\"3\"");
        Assert.Null((await SharedAsync())["justification"]);

        async Task<JsonNode> SharedAsync()
        {
            var findings = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/findings"));
            return Assert.Single(findings.AsArray(), f => (string)f!["key"]! == "arm-band-shared:arm")!;
        }
    }

    private async Task<string> ExportAsync(string setup = Sandpiper)
    {
        var answer = await SendAsync(client, HttpMethod.Get, $"{setup}/export");
        Assert.EndsWith(
            ".zephyros.json",
            answer.Content.Headers.ContentDisposition!.FileName,
            StringComparison.Ordinal
        );
        return Encoding.UTF8.GetString(
            await answer.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken)
        );
    }

    private static async Task AssertRefusedAsync(HttpResponseMessage answer, HttpStatusCode status, string says)
    {
        Assert.Equal(
            (status, "application/problem+json"),
            (answer.StatusCode, answer.Content.Headers.ContentType?.MediaType)
        );
        var problem = await JsonAsync(answer);
        var detail = (string)problem["detail"]!;
        // A place is among the errors as a pointer, for programs, and in the detail in words, for pilots.
        if (problem["errors"] is not { } errors)
        {
            Assert.Contains(says, detail, StringComparison.Ordinal);
            return;
        }

        if (says[0] == '/')
            Assert.Contains(says, errors.AsArray().Select(e => (string)e!["place"]!));
        else
            Assert.Contains(says, detail, StringComparison.Ordinal);
        Assert.DoesNotMatch("(^|\\s)/[a-z]", detail);
    }
}
