using System.Net;
using Microsoft.AspNetCore.SignalR;
using Microsoft.AspNetCore.SignalR.Client;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>A stored document that cannot be read is shown as such, and nothing else suffers.</summary>
public sealed class SalvageTests : IAsyncLifetime
{
    private readonly TestServer server = new();
    private readonly HttpClient client;

    public SalvageTests() => client = server.CreateClient();

    public ValueTask InitializeAsync()
    {
        server.Tamper(
            """
            INSERT INTO revisions (setup_id, number, kind, title, shows, parent, document, saved_at)
            VALUES ('wren', 2, 'edit', 'Broken', 2, 1, '{"format":"zephyros-setup","version":1}', '2026-01-02T03:04:05.000Z');
            INSERT INTO evidence (setup_id, kind, taken_at, record, basis)
            VALUES ('gannet', 'bind', '2026-01-02T03:04:05.0000000Z', '{"note":', '[]');
            INSERT INTO link_profiles VALUES ('my-link', 'no profile', '2026-02-03T04:05:06.0000000Z');
            """
        );
        return ValueTask.CompletedTask;
    }

    public ValueTask DisposeAsync() => server.DisposeAsync();

    [Fact]
    public async Task The_hangar_stays_open_and_shows_what_cannot_be_read()
    {
        var setups = (await GetAsync("/api/setups")).AsArray();
        Assert.Equal(["gannet", "sandpiper"], setups.Select(s => (string)s!["id"]!));
        var unreadable = (await GetAsync("/api/unreadable")).AsArray();
        Assert.Equal(
            ["setup wren 2 Broken", "evidence 1  ", "link-profile my-link  "],
            unreadable.Select(u => $"{u!["kind"]} {u["id"]} {u["revision"]} {u["undoTitle"]}")
        );
        Assert.NotEmpty((await GetAsync("/api/link-profiles")).AsArray());
        Assert.NotEmpty((await GetAsync("/api/transmitters")).AsArray());
        Assert.Empty((await GetAsync("/api/setups/gannet/binds")).AsArray());
    }

    [Theory]
    [InlineData("setup", "wren", """{"format":"zephyros-setup","version":1}""")]
    [InlineData("evidence", "1", "{\"note\":\n[]\n")]
    [InlineData("link-profile", "my-link", "no profile")]
    [InlineData("setup", "nobody", null)]
    [InlineData("evidence", "-1", null)]
    [InlineData("link_profile", "my-link", null)]
    [InlineData("0", "wren", null)]
    public async Task A_document_can_be_taken_away_as_it_is_stored(string kind, string id, string? text)
    {
        var cancel = TestContext.Current.CancellationToken;
        var answer = await client.GetAsync(new Uri($"/api/stored/{kind}/{id}", UriKind.Relative), cancel);
        Assert.Equal(text is null ? HttpStatusCode.NotFound : HttpStatusCode.OK, answer.StatusCode);
        if (text is not null)
            Assert.Equal(text, await answer.Content.ReadAsStringAsync(cancel));
    }

    [Fact]
    public async Task A_setup_that_cannot_be_read_says_so_wherever_it_is_asked_for_until_an_undo_leads_away_from_it()
    {
        foreach (var path in new[] { "", "/view", "/findings", "/proof", "/bench", "/revisions/2", "/export" })
        {
            var answer = await SendAsync(client, HttpMethod.Get, "/api/setups/wren" + path);
            Assert.Equal(HttpStatusCode.InternalServerError, answer.StatusCode);
            Assert.Contains("cannot be read", (string)(await JsonAsync(answer))["detail"]!, StringComparison.Ordinal);
        }

        await using var hub = new HubConnectionBuilder()
            .WithUrl(
                new Uri(server.Server.BaseAddress, "/hub/bench"),
                options => options.HttpMessageHandlerFactory = _ => server.Server.CreateHandler()
            )
            .Build();
        await hub.StartAsync(TestContext.Current.CancellationToken);
        var refused = await Assert.ThrowsAsync<HubException>(() =>
            hub.InvokeAsync("Move", Put("wren", "roll", 1.0), TestContext.Current.CancellationToken)
        );
        Assert.Contains("cannot be read", refused.Message, StringComparison.Ordinal);

        var undone = await SendAsync(client, HttpMethod.Post, "/api/setups/wren/undo", ifMatch: "\"2\"");
        Assert.Equal(HttpStatusCode.OK, undone.StatusCode);
        Assert.Equal(3, (await GetAsync("/api/setups")).AsArray().Count);
        await hub.InvokeAsync("Move", Put("wren", "roll", 1.0), TestContext.Current.CancellationToken);
    }

    [Fact]
    public async Task A_system_that_cannot_be_read_is_not_replaced()
    {
        var kept = await SendAsync(
            client,
            HttpMethod.Post,
            "/api/setups/gannet/link-profile",
            """{"name":"My link"}"""
        );
        Assert.Equal("my-link-2", (string)(await JsonAsync(kept))["profile"]!["id"]!);
        var profile = (await JsonAsync(kept))["profile"]!;
        profile["id"] = "my-link";
        var refused = await SendAsync(client, HttpMethod.Post, "/api/link-profiles", profile.ToJsonString());
        Assert.Equal(HttpStatusCode.Conflict, refused.StatusCode);
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await SendAsync(client, HttpMethod.Delete, "/api/link-profiles/my-link")).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.OK,
            (await SendAsync(client, HttpMethod.Post, "/api/link-profiles", profile.ToJsonString())).StatusCode
        );
    }

    private async Task<System.Text.Json.Nodes.JsonNode> GetAsync(string path)
    {
        var answer = await SendAsync(client, HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await JsonAsync(answer);
    }
}
