using System.Net;
using System.Text.Json.Nodes;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>Recordings of the signal wire over HTTP: recorded, recognised, drawn, refused.</summary>
public sealed class CaptureEndpointTests : IAsyncDisposable
{
    private const string Wren = "/api/setups/wren";
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public CaptureEndpointTests() => client = server.CreateClient();

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Fact]
    public async Task The_simulated_receiver_is_recorded_recognised_and_drawn()
    {
        foreach (var format in new[] { "vcd", "csv" })
        {
            var (answer, view) = await DropAsync(await RecordAsync($"format={format}"));
            Assert.Equal(HttpStatusCode.OK, answer);
            Assert.True((bool)view["fits"]!);
            Assert.Equal("packed16", (string)view["format"]!);
            Assert.Null(view["fix"]);
            Assert.Equal("Throttle", (string)view["channels"]![2]!["label"]!);
            var frame = await JsonAsync(
                await SendAsync(client, HttpMethod.Get, $"/api/captures/{(string)view["id"]!}/frames/2")
            );
            Assert.Equal(25, frame["bytes"]!.AsArray().Count);
            Assert.Equal((15, "header"), ((int)frame["bytes"]![0]!["value"]!, (string)frame["bytes"]![0]!["name"]!));
            // The same frame as bare bytes, again and again, is recognised and has no levels that could be drawn.
            Assert.True((bool)view["hasLevels"]!);
            var bytes = frame["bytes"]!.AsArray().Select(b => (byte)(int)b!["value"]!).ToArray();
            var (_, bare) = await DropAsync([.. Enumerable.Repeat(bytes, 20).SelectMany(b => b)]);
            Assert.Equal(("packed16", false), ((string)bare["format"]!, (bool)bare["hasLevels"]!));
        }
    }

    [Fact]
    public async Task A_wire_that_speaks_something_else_offers_to_take_it_over()
    {
        var recording = await RecordAsync("");
        var put = await SendAsync(
            client,
            HttpMethod.Post,
            $"{Wren}/edits",
            """{"title":"x","operations":[{"op":"replace","path":"/wire/format","value":"duplex"}]}""",
            "\"1\""
        );
        Assert.Equal(HttpStatusCode.OK, put.StatusCode);
        var (_, view) = await DropAsync(recording);
        Assert.False((bool)view["fits"]!);
        Assert.Contains(
            view["notes"]!.AsArray(),
            n => ((string)n!).Contains("The setup says Duplex packets", StringComparison.Ordinal)
        );
        var taken = await SendAsync(client, HttpMethod.Post, $"{Wren}/edits", view["fix"]!.ToJsonString(), "\"2\"");
        Assert.Equal("packed16", (string)(await JsonAsync(taken))["setup"]!["wire"]!["format"]!);
    }

    [Fact]
    public async Task What_is_no_recording_is_refused_with_its_line()
    {
        var (status, problem) = await DropAsync("time,level\n0,1\n1,7\n"u8.ToArray());
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.StartsWith("Line 3: A level is 0 or 1", (string)problem["detail"]!, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.BadRequest, (await DropAsync([])).Status);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await SendAsync(client, HttpMethod.Get, "/api/captures/none/frames/1")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await SendAsync(client, HttpMethod.Get, $"{Wren}/recording?fault=loud")).StatusCode
        );
    }

    // Cut, doubled and scribbled over, as bytes of all kinds: an answer below 500 each time.
    [Fact]
    public async Task Hostile_recordings_never_break_the_server()
    {
        var whole = await RecordAsync("");
        var random = new Random(11);
        for (var i = 0; i < 40; i++)
        {
            var from = random.Next(whole.Length / 2);
            var piece = whole[from..(from + random.Next(1, 20_000))];
            for (var change = 0; change < random.Next(30); change++)
                piece[random.Next(piece.Length)] = (byte)random.Next(256);
            Assert.InRange((int)(await DropAsync(piece)).Status, 200, 499);
        }
    }

    private async Task<byte[]> RecordAsync(string query)
    {
        var answer = await SendAsync(client, HttpMethod.Get, $"{Wren}/recording?{query}");
        return await answer.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken);
    }

    private async Task<(HttpStatusCode Status, JsonNode Body)> DropAsync(byte[] recording)
    {
        using var content = new ByteArrayContent(recording);
        content.Headers.ContentType = new("application/octet-stream");
        var answer = await client.PostAsync($"{Wren}/captures", content, TestContext.Current.CancellationToken);
        return (answer.StatusCode, await JsonAsync(answer));
    }
}
