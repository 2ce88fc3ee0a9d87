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
    public async Task A_recording_of_the_wire_is_measured_and_compared_with_plan_and_board()
    {
        var id = await CaptureAsync("sandpiper");
        var view = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/captures/{id}/measurement"));
        Assert.Equal(
            ("", 4, 14),
            (
                (string)view["problem"]!,
                view["readings"]!["wiggles"]!.AsArray().Count,
                view["readings"]!["positions"]!.AsArray().Count
            )
        );
        var readings = view["readings"]!
            .ToJsonString()
            .Replace("\"value\":2012", "\"value\":1800", StringComparison.Ordinal);
        var compared = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/plan-comparison?capture={id}", readings)
        );
        var arm = compared["channels"]!.AsArray().Single(c => (int)c!["channel"]! == 5)!;
        Assert.Equal("board", (string)arm["parts"]!);
        Assert.Equal(1800, (double)arm["points"]!.AsArray().Last()!["board"]!);
        Assert.Equal(
            [HttpStatusCode.NotFound, HttpStatusCode.NotFound],
            [
                (await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/captures/none/measurement")).StatusCode,
                (
                    await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/plan-comparison?capture=none", readings)
                ).StatusCode,
            ]
        );
    }

    // Gannet's transmitter has other ends than Sandpiper's, and its yaw runs the other way: recorded in Sandpiper's name, that shows.
    [Fact]
    public async Task A_recording_of_another_transmitter_parts_before_the_wire()
    {
        var id = await CaptureAsync("gannet");
        var nothing = """{"wiggles":[],"sweeps":{},"positions":[]}""";
        var compared = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/plan-comparison?capture={id}", nothing)
        );
        var parted = compared["channels"]!.AsArray().Where(c => c!["parts"] is not null).ToArray();
        Assert.NotEmpty(parted);
        Assert.All(parted, c => Assert.Equal("air", (string)c!["parts"]!));
        Assert.Contains(parted, c => ((string)c!["why"]!).Contains("on the wire", StringComparison.OrdinalIgnoreCase));
    }

    [Fact]
    public async Task A_typed_routine_goes_on_or_says_what_cannot_be()
    {
        var path = $"{Sandpiper}/typed-routine";
        var first = """{"kind":"sticks","readings":[{"bar":"roll","values":[2004]}]}""";
        var state = await JsonAsync(await SendAsync(client, HttpMethod.Post, path, first));
        Assert.Equal("Now throttle to its other end, and hold it there.", (string)state["prompt"]!);
        Assert.Equal("""["roll"]""", state["asks"]!["bars"]!.ToJsonString());
        foreach (
            var (wrong, place) in new[]
            {
                ("""{"kind":"sticks","readings":[{"values":[3000]}]}""", "/readings/0/values/0"),
                ("""{"kind":"sticks","readings":[{"values":[1510]}]}""", "/readings/0/values/0"),
                ("""{"kind":"switches","readings":[{"values":[1000,1000,1000]}]}""", "/readings/0/values"),
                ("""{"kind":"none","readings":[]}""", "/kind"),
            }
        )
        {
            var answer = await SendAsync(client, HttpMethod.Post, path, wrong);
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            Assert.Equal(place, (string)(await JsonAsync(answer))["errors"]![0]!["place"]!);
        }
    }

    // Recorded after the change that overtook it, a measurement is as stale as it would have been before.
    [Fact]
    public async Task A_measurement_stands_on_the_revision_that_it_was_made_on()
    {
        var record =
            """{"wiggles":[{"moved":"roll","bar":"pitch"}],"positions":[],"sweeps":{},"simulated":false,"note":""}""";
        Assert.Equal("[]", await ChangesAsync(record));
        var edit = """{"title":"Map","operations":[{"op":"replace","path":"/board/map","value":"TAER"}]}""";
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/edits", edit, "\"1\"");
        Assert.Equal("""["the board's map"]""", await ChangesAsync(record));
        var kept = await JsonAsync(
            await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/measurements?revision=1", record)
        );
        Assert.Equal("the board's map", (string)kept["changed"]![0]!);
        await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/undo", ifMatch: "\"2\"");
        Assert.Equal("[]", await ChangesAsync(record));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/measurements?revision=9", record)).StatusCode
        );
        var list = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/measurements"));
        Assert.Empty(Assert.Single(list.AsArray())!["changed"]!.AsArray());
    }

    // The simulated receiver of a craft, recorded while it is measured, and recognised for Sandpiper.
    private async Task<string> CaptureAsync(string craft)
    {
        var recording = await SendAsync(client, HttpMethod.Get, $"/api/setups/{craft}/recording?measuring=true");
        using var content = new ByteArrayContent(
            await recording.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken)
        );
        content.Headers.ContentType = new("application/octet-stream");
        var capture = await JsonAsync(
            await client.PostAsync($"{Sandpiper}/captures", content, TestContext.Current.CancellationToken)
        );
        return (string)capture["id"]!;
    }

    private async Task<string> ChangesAsync(string record) =>
        (
            await JsonAsync(
                await SendAsync(client, HttpMethod.Post, $"{Sandpiper}/measurement-changes?revision=1", record)
            )
        )
            .ToJsonString()
            .Replace("\\u0027", "'", StringComparison.Ordinal);

    [Fact]
    public async Task Three_places_and_symptoms_are_told()
    {
        var compared = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/station-comparison"));
        Assert.Contains(compared.AsArray(), c => (int)c!["channel"]! == 5);
        var symptoms = await JsonAsync(await SendAsync(client, HttpMethod.Get, $"{Sandpiper}/symptoms"));
        var spins = symptoms.AsArray().Single(s => (string)s!["id"]! == "spins");
        Assert.Equal("shown", (string)spins!["suspects"]![0]!["standing"]!);
        Assert.Equal("channel-order", (string)spins["suspects"]![0]!["findings"]![0]!["key"]!);
    }
}
