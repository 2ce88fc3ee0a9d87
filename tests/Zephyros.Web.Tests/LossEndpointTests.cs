using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Loss;

namespace Zephyros.Web.Tests;

/// <summary>A loss of the signal, and its page to take along, over HTTP.</summary>
public sealed class LossEndpointTests : IAsyncLifetime
{
    private readonly TestServer server = new();
    private HttpClient client = null!;

    public ValueTask InitializeAsync()
    {
        client = server.CreateClient();
        return ValueTask.CompletedTask;
    }

    public async ValueTask DisposeAsync()
    {
        client.Dispose();
        await server.DisposeAsync();
    }

    [Theory]
    [InlineData("sandpiper")]
    [InlineData("gannet")]
    public async Task The_page_to_take_along_says_what_is_shown(string id)
    {
        var cancel = TestContext.Current.CancellationToken;
        var shown = await client.PostAsync(
            new Uri($"/api/setups/{id}/loss", UriKind.Relative),
            JsonContent.Create(new { throttle = 100, fix = true }),
            cancel
        );
        var headline = (string)JsonNode.Parse(await shown.Content.ReadAsStringAsync(cancel))!["headline"]!;
        var sheet = await client.GetAsync(
            new Uri($"/api/setups/{id}/loss-sheet?throttle=100&fix=true", UriKind.Relative),
            cancel
        );
        Assert.Equal("text/markdown", sheet.Content.Headers.ContentType!.MediaType);
        Assert.Equal($"{id}-lost-signal{LossSheet.FileEnding}", sheet.Content.Headers.ContentDisposition!.FileName);
        Assert.Contains(
            $"**{headline.TrimEnd('.')}.**",
            await sheet.Content.ReadAsStringAsync(cancel),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("nobody", "0", HttpStatusCode.NotFound)]
    [InlineData("wren", "101", HttpStatusCode.BadRequest)]
    [InlineData("wren", "NaN", HttpStatusCode.BadRequest)]
    [InlineData("wren", "up", HttpStatusCode.BadRequest)]
    public async Task What_cannot_be_is_refused(string id, string throttle, HttpStatusCode status)
    {
        var answer = await client.GetAsync(
            new Uri($"/api/setups/{id}/loss-sheet?throttle={throttle}&fix=false", UriKind.Relative),
            TestContext.Current.CancellationToken
        );
        Assert.Equal(status, answer.StatusCode);
    }
}
