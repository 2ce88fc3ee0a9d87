using System.Text.Json.Nodes;
using Zephyros.Core.Setups;
using Zephyros.Core.Tests;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>What the pages are told of a demo craft, member by member.</summary>
public sealed class ViewsRecordedTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly string[] Paths =
    [
        "/api/setups",
        "/api/setups/wren/view",
        "/api/setups/wren/ready-made",
        "/api/setups/wren/findings",
        "/api/link-profiles",
        "/api/wire-formats",
    ];

    [Fact]
    public async Task Pages_are_told_what_they_were_told()
    {
        using var client = server.CreateClient();
        var lines = new List<string>();
        foreach (var path in Paths)
        {
            lines.Add($"# {path}");
            lines.AddRange(Told(await JsonAsync(await SendAsync(client, HttpMethod.Get, path))));
        }

        Recorded.AssertSame("views", lines);
    }

    // When something was saved is the moment's own.
    private static IEnumerable<string> Told(JsonNode answer)
    {
        var parts = answer is JsonObject whole
            ? whole.Select(m => (m.Key, m.Value))
            : answer.AsArray().Select((v, i) => ($"{i}", v));
        foreach (var (key, value) in parts)
        {
            (value as JsonObject)?.Remove("savedAt");
            yield return $"  {key} {CanonicalJson.Write(Recorded.Rounded(value))}";
        }
    }
}
