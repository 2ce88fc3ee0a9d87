using System.Globalization;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Recorded flights over HTTP: dropped, told, drawn, run, mapped, stopped, put away.</summary>
public sealed class FlightEndpointTests : IAsyncDisposable
{
    private const string Wren = "/api/setups/wren";
    private const string Asked =
        """{"flights":["ID"],"way":"by-rows","alarm":"empty","critical":null,"settle":null,"lead":null}""";

    private readonly TestServer server = new();
    private readonly HttpClient client;

    public FlightEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task A_flight_is_read_told_drawn_and_put_away()
    {
        var view = await ReadAsync(await DropAsync("x,y\n0,14200\n1,14100\n2,14000\n", "mine.csv"));
        Assert.Equal(("mine.csv", 0), ((string)view["name"]!, (int)view["rows"]!));
        Assert.Equal("No column but the time is understood: say what they mean.", (string)view["problem"]!);
        var id = (string)view["id"]!;
        var wrong = await TellAsync(id, "voltage", "km");
        Assert.Equal(HttpStatusCode.BadRequest, wrong.StatusCode);
        Assert.Equal("/columns/0/unit", (string)(await JsonAsync(wrong))["errors"]![0]!["place"]!);
        Assert.Equal(HttpStatusCode.OK, (await TellAsync(id, "voltage", "mV")).StatusCode);
        view = await ReadAsync(view);
        Assert.Equal((3, 2000, 1000), ((int)view["rows"]!, (int)view["length"]!, (int)view["step"]!));
        var drawing = await JsonAsync(await GetAsync($"/api/flights/{id}/drawing?from=0&to=2&bins=10"));
        Assert.Equal([14.2, 14.1, 14], drawing["series"]![0]!["values"]!.AsArray().Select(v => (double)v!));
        foreach (
            var bad in new[]
            {
                "from=2&to=2&bins=10",
                "from=0&to=2&bins=0",
                "from=0&to=2&bins=9999",
                "from=0&to=1e999&bins=5",
            }
        )
            Assert.Equal(HttpStatusCode.BadRequest, (await GetAsync($"/api/flights/{id}/drawing?{bad}")).StatusCode);
        await SendAsync(client, HttpMethod.Delete, $"/api/flights/{id}");
        Assert.Empty((await JsonAsync(await GetAsync($"{Wren}/flights"))).AsArray());
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await GetAsync($"/api/flights/{id}/drawing?from=0&to=2&bins=10")).StatusCode
        );
        Assert.Equal(HttpStatusCode.NotFound, (await TellAsync(id, "voltage", "mV")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await RunAsync("replay", id)).StatusCode);
    }

    [Fact]
    public async Task A_model_runs_over_an_invented_flight_and_its_alarm_is_mapped_and_set()
    {
        var invented = await SendAsync(client, HttpMethod.Post, $"{Wren}/invented-flights/gusts");
        var id = (string)(await ReadAsync(await JsonAsync(invented)))["id"]!;
        var replay = await JsonAsync(await RunAsync("replay", id));
        Assert.Equal("empty", (string)replay["chosen"]!);
        Assert.Equal(1, (int)replay["flights"]![0]!["false"]!);
        Assert.Equal("Battery empty", (string)replay["flights"]![0]!["said"]![0]!["text"]!);
        var map = await JsonAsync(await RunAsync("alarm-maps", id));
        while ((bool)map["works"]!)
            map = await JsonAsync(await GetAsync($"/api/alarm-maps/{(string)map["id"]!}"));
        Assert.Equal((40, 20), (map["cells"]!.AsArray().Count, map["cells"]![0]!.AsArray().Count));
        var best = map["best"]!;
        var cell = map["cells"]![(int)best["level"]!]![(int)best["wait"]!]!;
        Assert.Equal((0, true), ((int)cell["false"]!, (bool)cell["enough"]!));
        var edit = await JsonAsync(
            await EditAsync((double)map["levels"]![(int)best["level"]!]!, (double)map["waits"]![(int)best["wait"]!]!)
        );
        var saved = await SendAsync(client, HttpMethod.Post, $"{Wren}/edits", edit.ToJsonString(), "\"1\"");
        Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
        var after = (await JsonAsync(await RunAsync("replay", id)))["flights"]![0]!;
        Assert.Equal((0, true), ((int)after["false"]!, (bool)after["enough"]!));
        Assert.Equal(HttpStatusCode.BadRequest, (await EditAsync(14, -1)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await RunAsync("alarm-maps", id, "nobody")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await GetAsync("/api/alarm-maps/none")).StatusCode);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Post, $"{Wren}/invented-flights/storm")).StatusCode
        );
    }

    // What is stopped ends, and what waited behind it gets its turn.
    [Fact]
    public async Task A_long_reading_is_stopped_and_another_goes_on()
    {
        var text = new StringBuilder("time,pack\n");
        for (var row = 0; row < 700_000; row++)
            text.Append(CultureInfo.InvariantCulture, $"{row / 50.0},14.{row % 100}\n");
        var large = await DropAsync(text.ToString(), "large.csv");
        var small = await DropAsync("time,pack\n0,14\n1,14\n", "small.csv");
        await SendAsync(client, HttpMethod.Delete, $"/api/flights/{(string)large["id"]!}");
        Assert.Equal(2, (int)(await ReadAsync(small))["rows"]!);
    }

    [Fact]
    public async Task So_many_flights_are_kept_and_the_oldest_give_way()
    {
        for (var i = 0; i < 14; i++)
            await ReadAsync(await DropAsync($"time,pack\n0,14\n{i + 1},14\n", $"{i}.csv"));
        var names = (await JsonAsync(await GetAsync($"{Wren}/flights"))).AsArray().Select(f => (string)f!["name"]!);
        Assert.Equal(Enumerable.Range(2, 12).Select(i => $"{i}.csv"), names);
        Assert.Empty((await JsonAsync(await GetAsync("/api/setups/gannet/flights"))).AsArray());
    }

    private async Task<JsonNode> DropAsync(string text, string name)
    {
        using var body = new ByteArrayContent(Encoding.UTF8.GetBytes(text));
        body.Headers.ContentType = new("application/octet-stream");
        var answer = await client.PostAsync(
            new Uri($"{Wren}/flights?name={name}", UriKind.Relative),
            body,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await JsonAsync(answer);
    }

    // The flight once it is read.
    private async Task<JsonNode> ReadAsync(JsonNode flight)
    {
        while (true)
        {
            var flights = (await JsonAsync(await GetAsync($"{Wren}/flights"))).AsArray();
            var found = flights.Single(f => (string)f!["id"]! == (string)flight["id"]!)!;
            if (!(bool)found["reads"]!)
                return found.DeepClone();
            await Task.Delay(20, TestContext.Current.CancellationToken);
        }
    }

    private Task<HttpResponseMessage> GetAsync(string path) => SendAsync(client, HttpMethod.Get, path);

    private Task<HttpResponseMessage> TellAsync(string id, string meaning, string unit) =>
        SendAsync(
            client,
            HttpMethod.Put,
            $"/api/flights/{id}/columns",
            $$"""{"columns":[{"index":1,"meaning":"{{meaning}}","unit":"{{unit}}"}]}"""
        );

    private Task<HttpResponseMessage> RunAsync(string path, string id, string alarm = "empty") =>
        SendAsync(
            client,
            HttpMethod.Post,
            $"{Wren}/{path}",
            Asked.Replace("ID", id, StringComparison.Ordinal).Replace("empty", alarm, StringComparison.Ordinal)
        );

    private Task<HttpResponseMessage> EditAsync(double level, double wait) =>
        SendAsync(
            client,
            HttpMethod.Post,
            $"{Wren}/alarm-edit",
            string.Create(CultureInfo.InvariantCulture, $$"""{"alarm":"empty","level":{{level}},"wait":{{wait}}}""")
        );
}
