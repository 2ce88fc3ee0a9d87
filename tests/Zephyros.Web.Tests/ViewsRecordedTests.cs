using System.Text.Json.Nodes;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Tests;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

/// <summary>What the pages are told of a demo craft, member by member.</summary>
public sealed class ViewsRecordedTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly string[] Paths =
    [
        "/api/setups/wren/view",
        "/api/setups/wren/ready-made",
        "/api/setups/wren/findings",
        "/api/setups/wren/symptoms",
        "/api/setups/wren/simulated-measurement",
        "/api/setups/wren/proposals/channel-order/RTEA",
        "/api/setups/wren/revisions",
        "/api/setups/wren/removals?place=/model/channels/arm",
        "/api/setups/gannet/view",
        "/api/transmitters",
        "/api/link-profiles",
        "/api/wire-formats",
    ];

    [Fact]
    public async Task Pages_are_told_what_they_were_told()
    {
        using var client = server.CreateClient();
        var lines = new List<string>();
        // The hangar once its proofs have ended; what it is told meanwhile hangs on how far they are.
        JsonNode hangar;
        do
        {
            await Task.Delay(100, TestContext.Current.CancellationToken);
            hangar = await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups"));
        } while (hangar.AsArray().Any(s => (bool)s!["running"]!));
        lines.Add("# /api/setups");
        lines.AddRange(Told(hangar));
        foreach (var path in Paths)
        {
            lines.Add($"# {path}");
            lines.AddRange(Told(await JsonAsync(await SendAsync(client, HttpMethod.Get, path))));
        }

        Recorded.AssertSame("views", lines);
    }

    // The promises of a small craft with their sequences, along the path.
    [Fact]
    public async Task A_proof_is_told_as_it_was_told()
    {
        using var client = server.CreateClient();
        await SendAsync(client, HttpMethod.Post, "/api/setups/gannet/proof", """{"twoHands":false}""");
        JsonNode proof;
        do
        {
            await Task.Delay(100, TestContext.Current.CancellationToken);
            proof = await JsonAsync(await SendAsync(client, HttpMethod.Get, "/api/setups/gannet/proof"));
        } while ((bool)proof["running"]!);
        var lines = new List<string>();
        foreach (var promise in proof["promises"]!.AsArray())
        {
            // How long it took is the machine's.
            promise!.AsObject().Remove("milliseconds");
            lines.Add($"# {promise["code"]}");
            lines.AddRange(Told(promise));
        }

        Recorded.AssertSame("proof", lines);
    }

    // What the interface's types are made of, as far as this program mends it: quantities, and tests that hold tests.
    [Fact]
    public async Task Types_are_described_as_they_were()
    {
        using var client = server.CreateClient();
        var document = await JsonAsync(await SendAsync(client, HttpMethod.Get, "/openapi/v1.json"));
        Recorded.AssertSame(
            "types",
            document["components"]!["schemas"]!
                .AsObject()
                .Where(s =>
                    s.Key.StartsWith("Test", StringComparison.Ordinal)
                    || typeof(Core.Units.Percent).Assembly.GetType($"Zephyros.Core.Units.{s.Key}") is not null
                    || s.Key is "FlightBoard" or "LinkSettings" or "TransmitterModel"
                )
                .OrderBy(s => s.Key, StringComparer.Ordinal)
                .Select(s => $"{s.Key} {CanonicalJson.Write(s.Value)}")
        );
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
