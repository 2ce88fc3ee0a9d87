using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Zephyros.Storage;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Tests;

/// <summary>The web host in this process, with demo data in a folder of its own.</summary>
public sealed class TestServer : WebApplicationFactory<Program>
{
    private readonly DirectoryInfo folder = Directory.CreateTempSubdirectory("zephyros-test-");

    /// <summary>Does something to the data file behind the server's back.</summary>
    public void Tamper(string sql)
    {
        using var connection = Services.GetRequiredService<Database>().Connect();
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // The texts are the tests' own.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
    }

    /// <summary>Sends a request with a body and the revision that it starts from.</summary>
    /// <summary>The call that moves one control.</summary>
    public static MoveCall Put(string setup, string control, double setting) =>
        new(setup, new Dictionary<string, double>(StringComparer.Ordinal) { [control] = setting });

    public static async Task<HttpResponseMessage> SendAsync(
        HttpClient client,
        HttpMethod method,
        string path,
        string? body = null,
        string? ifMatch = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = new StringContent(body, new MediaTypeHeaderValue("application/json"));
        if (ifMatch is not null)
            request.Headers.TryAddWithoutValidation("If-Match", ifMatch);
        return await client.SendAsync(request, TestContext.Current.CancellationToken);
    }

    /// <summary>The body of an answer as a tree.</summary>
    public static async Task<JsonNode> JsonAsync(HttpResponseMessage response) =>
        JsonNode.Parse(await response.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;

    /// <inheritdoc />
    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("data", folder.FullName);
        builder.UseSetting("demo", "true");
    }

    /// <inheritdoc />
    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (disposing && folder.Exists)
            folder.Delete(recursive: true);
    }
}
