using System.Net;
using Microsoft.AspNetCore.Hosting;

namespace Zephyros.Web.Tests;

/// <summary>RFC 9110, 12.5.3: a client says which codings it takes; one with the weight 0 it does not take.</summary>
public sealed class PackedFileTests : IAsyncDisposable
{
    private readonly DirectoryInfo root = Directory.CreateTempSubdirectory("zephyros-root-");
    private readonly TestServer server = new();

    public PackedFileTests()
    {
        var assets = root.CreateSubdirectory("assets").FullName;
        foreach (var name in (string[])["a.js", "a.js.br", "a.js.gz", "b.css", "b.css.gz", "c.woff2"])
            File.WriteAllText(Path.Combine(assets, name), name);
        File.WriteAllText(Path.Combine(root.FullName, "d.txt"), "d.txt");
    }

    public async ValueTask DisposeAsync()
    {
        await server.DisposeAsync();
        root.Delete(recursive: true);
    }

    [Theory]
    [InlineData("assets/a.js", "gzip, deflate, br", "a.js.br", "br", "text/javascript")]
    [InlineData("assets/a.js", "gzip", "a.js.gz", "gzip", "text/javascript")]
    [InlineData("assets/a.js", "br;q=0, gzip;q=0.5", "a.js.gz", "gzip", "text/javascript")]
    [InlineData("assets/a.js", "gzip;q=0", "a.js", null, "text/javascript")]
    [InlineData("assets/a.js", "identity", "a.js", null, "text/javascript")]
    [InlineData("assets/a.js", null, "a.js", null, "text/javascript")]
    [InlineData("assets/b.css", "br, gzip", "b.css.gz", "gzip", "text/css")]
    [InlineData("assets/c.woff2", "br, gzip", "c.woff2", null, "font/woff2")]
    [InlineData("d.txt", "br, gzip", "d.txt", null, "text/plain")]
    public async Task A_browser_gets_the_packed_file_that_it_takes(
        string path,
        string? accepts,
        string file,
        string? coding,
        string kind
    )
    {
        using var client = server
            .WithWebHostBuilder(host => host.UseSetting(WebHostDefaults.WebRootKey, root.FullName))
            .CreateClient();
        using var request = new HttpRequestMessage(HttpMethod.Get, path);
        if (accepts is not null)
            request.Headers.TryAddWithoutValidation("Accept-Encoding", accepts);
        var answer = await client.SendAsync(request, TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        Assert.Equal(file, await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        Assert.Equal(coding is null ? [] : [coding], answer.Content.Headers.ContentEncoding);
        Assert.Equal(kind, answer.Content.Headers.ContentType?.MediaType);
        Assert.Equal(
            path.StartsWith("assets", StringComparison.Ordinal) ? ["Accept-Encoding"] : [],
            answer.Headers.Vary
        );
    }
}
