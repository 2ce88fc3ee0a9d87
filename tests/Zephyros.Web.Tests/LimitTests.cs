using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.RateLimiting;
using Zephyros.Web.Guards;
using Zephyros.Web.Setups;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>What is just allowed and what is just too much, at each limit of a request.</summary>
public sealed class LimitTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Wren = "/api/setups/wren";
    private readonly HttpClient client = server.CreateClient();

    // Blanks around a document mean nothing, so they fill it up to a length. Without a length it comes in pieces.
    [Theory]
    [InlineData(RequestBody.Limit, false, HttpStatusCode.Created)]
    [InlineData(RequestBody.Limit, true, HttpStatusCode.Created)]
    [InlineData(RequestBody.Limit + 1, false, HttpStatusCode.RequestEntityTooLarge)]
    [InlineData(RequestBody.Limit + 1, true, HttpStatusCode.RequestEntityTooLarge)]
    public async Task A_body_may_have_a_mebibyte(int length, bool inPieces, HttpStatusCode status)
    {
        Assert.Equal(1024 * 1024, RequestBody.Limit);
        var document = await (await SendAsync(client, HttpMethod.Get, $"{Wren}/export")).Content.ReadAsStringAsync(
            TestContext.Current.CancellationToken
        );
        var bytes = Encoding.UTF8.GetBytes(document);
        Array.Resize(ref bytes, length);
        bytes.AsSpan(Encoding.UTF8.GetByteCount(document)).Fill((byte)' ');
        using HttpContent body = inPieces ? new InPieces(bytes) : new ByteArrayContent(bytes);
        body.Headers.ContentType = new MediaTypeHeaderValue("application/json");
        var answer = await client.PostAsync("/api/setups", body, TestContext.Current.CancellationToken);
        Assert.Equal(status, answer.StatusCode);
    }

    [Fact]
    public async Task More_than_can_be_worked_on_waits_and_what_is_beyond_is_refused()
    {
        var cancel = TestContext.Current.CancellationToken;
        var limits = new RateLimiterOptions();
        RequestRoom.Limit(limits);
        var room = limits.GlobalLimiter!;
        HttpContext Asked(string path) =>
            new DefaultHttpContext
            {
                Request = { Path = path },
                Response = { Body = new MemoryStream() },
                RequestServices = server.Services,
            };
        Task<RateLimitLease> Enter() => room.AcquireAsync(Asked("/api/setups"), 1, cancel).AsTask();
        var entered = Enumerable.Range(0, RequestRoom.AtOnce).Select(_ => Enter()).ToArray();
        Assert.All(await Task.WhenAll(entered), lease => Assert.True(lease.IsAcquired));
        var waiting = Enumerable.Range(0, RequestRoom.Waiting).Select(_ => Enter()).ToArray();
        Assert.DoesNotContain(waiting, w => w.IsCompleted);
        using var refused = await Enter();
        Assert.False(refused.IsAcquired);
        var said = Asked("/api/setups");
        await limits.OnRejected!(new OnRejectedContext { HttpContext = said, Lease = refused }, cancel);
        said.Response.Body.Position = 0;
        Assert.Equal(
            (429, "Too much at once"),
            (
                said.Response.StatusCode,
                (string)(await JsonNode.ParseAsync(said.Response.Body, cancellationToken: cancel))!["title"]!
            )
        );

        // Live benches and what the page is made of have other limits; and as one goes, the oldest that waits comes in.
        using var other = await room.AcquireAsync(Asked("/hub/bench"), 1, cancel);
        Assert.True(other.IsAcquired);
        (await entered[0]).Dispose();
        using var next = await waiting[0];
        Assert.True(next.IsAcquired);
    }

    [Theory]
    [InlineData("W/\"1\"")]
    [InlineData("\"\"")]
    [InlineData("\"-1\"")]
    [InlineData("\" 1\"")]
    [InlineData("\"1")]
    [InlineData("\"1\", \"2\"")]
    [InlineData("*")]
    public async Task A_revision_is_a_number_in_quotes(string tag)
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Wren}/undo", ifMatch: tag);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.StartsWith(
            "If-Match must be a revision in quotes",
            (string)(await JsonAsync(answer))["detail"]!,
            StringComparison.Ordinal
        );
    }

    // Every way to write goes through the same gate.
    [Theory]
    [InlineData("POST", "/undo", null)]
    [InlineData("POST", "/redo", null)]
    [InlineData("POST", "/edits", """{"title":"x","operations":[]}""")]
    [InlineData("POST", "/findings/link-quality-not-sent/fixes/x", null)]
    [InlineData("PUT", "/findings/x/justification", """{"note":"x"}""")]
    [InlineData("POST", "/ready-made/throttle-limiter", """{"arguments":{"dial":"right-dial"}}""")]
    [InlineData("PUT", "/state-table", """{"table":{}}""")]
    [InlineData("PUT", "/proof/no-leap", """{"on":true,"note":"x"}""")]
    [InlineData("PUT", "/quality", """{"way":"receiver","channel":9}""")]
    [InlineData("PUT", "/link-profile", """{"profile":"stepped-packets","mode":0}""")]
    public async Task Nothing_is_written_from_another_revision_or_from_none(string method, string path, string? body)
    {
        foreach (
            var (tag, status) in new[]
            {
                (null, HttpStatusCode.PreconditionRequired),
                ("\"2\"", HttpStatusCode.PreconditionFailed),
                ("\"0\"", HttpStatusCode.PreconditionFailed),
            }
        )
            Assert.Equal(
                status,
                (await SendAsync(client, new HttpMethod(method), $"{Wren}{path}", body, tag)).StatusCode
            );
        Assert.Equal(1, (int)(await JsonAsync(await SendAsync(client, HttpMethod.Get, Wren)))["revision"]!);
    }

    [Theory]
    [InlineData(120, HttpStatusCode.OK)]
    [InlineData(121, HttpStatusCode.BadRequest)]
    public async Task A_title_has_up_to_120_characters(int length, HttpStatusCode status)
    {
        var copy = await CopyAsync();
        var edit =
            $$"""{"title":"{{new string('t', length)}}","operations":[{"op":"replace","path":"/board/map","value":"TAER"}]}""";
        Assert.Equal(status, (await SendAsync(client, HttpMethod.Post, $"{copy}/edits", edit, "\"1\"")).StatusCode);
    }

    [Theory]
    [InlineData("""{"twoHands":false,"seconds":1}""", HttpStatusCode.OK)]
    [InlineData("""{"twoHands":false,"seconds":3600}""", HttpStatusCode.OK)]
    [InlineData("""{"twoHands":false,"seconds":0}""", HttpStatusCode.BadRequest)]
    [InlineData("""{"twoHands":false,"seconds":3601}""", HttpStatusCode.BadRequest)]
    public async Task A_proof_may_take_a_second_to_an_hour_each(string wish, HttpStatusCode status)
    {
        Assert.Equal(status, (await SendAsync(client, HttpMethod.Post, $"{Wren}/proof", wish)).StatusCode);
        await SendAsync(client, HttpMethod.Post, $"{Wren}/proof/cancel");
    }

    // Stepped packets have four modes.
    [Theory]
    [InlineData(3, HttpStatusCode.OK)]
    [InlineData(4, HttpStatusCode.NotFound)]
    [InlineData(-1, HttpStatusCode.BadRequest)]
    [InlineData(20, HttpStatusCode.BadRequest)]
    public async Task A_mode_is_one_of_its_profile(int mode, HttpStatusCode status)
    {
        var copy = await CopyAsync();
        var wish = $$"""{"profile":"stepped-packets","mode":{{mode}}}""";
        Assert.Equal(
            status,
            (await SendAsync(client, HttpMethod.Put, $"{copy}/link-profile", wish, "\"1\"")).StatusCode
        );
    }

    [Theory]
    [InlineData(4, HttpStatusCode.BadRequest)]
    [InlineData(33, HttpStatusCode.BadRequest)]
    [InlineData(32, HttpStatusCode.NotFound)]
    public async Task Quality_goes_onto_a_channel_that_there_is(int channel, HttpStatusCode status) =>
        Assert.Equal(
            status,
            (
                await SendAsync(
                    client,
                    HttpMethod.Put,
                    $"{Wren}/quality",
                    $$"""{"way":"receiver","channel":{{channel}}}""",
                    "\"1\""
                )
            ).StatusCode
        );

    [Fact]
    public async Task A_profile_of_a_long_name_gets_a_short_id_and_one_without_letters_a_word()
    {
        foreach (var (name, id) in new[] { (new string('a', 40), new string('a', 32)), ("!!!", "link") })
        {
            var answer = await SendAsync(client, HttpMethod.Post, $"{Wren}/link-profile", $$"""{"name":"{{name}}"}""");
            Assert.Equal(id, (string)(await JsonAsync(answer))["profile"]!["id"]!);
        }

        var tooLong = $$"""{"name":"{{new string('a', 41)}}"}""";
        Assert.Equal(
            HttpStatusCode.BadRequest,
            (await SendAsync(client, HttpMethod.Post, $"{Wren}/link-profile", tooLong)).StatusCode
        );
    }

    // A craft of one's own to write to.
    private async Task<string> CopyAsync()
    {
        var answer = await SendAsync(client, HttpMethod.Post, $"{Wren}/copies", """{"name":"Copy"}""");
        return answer.Headers.Location!.ToString();
    }

    /// <summary>A body whose length nobody knows before it has come.</summary>
    private sealed class InPieces(byte[] bytes) : HttpContent
    {
        protected override async Task SerializeToStreamAsync(Stream stream, TransportContext? context)
        {
            foreach (var piece in bytes.Chunk(100_000))
                await stream.WriteAsync(piece, TestContext.Current.CancellationToken);
        }

        protected override bool TryComputeLength(out long length)
        {
            length = 0;
            return false;
        }
    }
}
