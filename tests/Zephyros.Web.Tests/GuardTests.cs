using System.Net;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

public sealed class GuardTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("localhost", null, null, HttpStatusCode.OK)]
    [InlineData("127.0.0.1:5080", "http://127.0.0.1:5080", "same-origin", HttpStatusCode.OK)]
    [InlineData("[::1]:5080", null, "none", HttpStatusCode.OK)]
    [InlineData("rebound.example", null, null, HttpStatusCode.Forbidden)]
    [InlineData("192.168.1.20:5080", null, null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://evil.example", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://localhost:3000", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "null", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", null, "cross-site", HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", null, "same-site", HttpStatusCode.Forbidden)]
    public async Task Only_this_machines_own_pages_are_served(
        string host,
        string? origin,
        string? site,
        HttpStatusCode status
    )
    {
        foreach (var path in new[] { "/api/setups", "/hub/bench/negotiate?negotiateVersion=1" })
        {
            using var request = new HttpRequestMessage(path[1] == 'a' ? HttpMethod.Get : HttpMethod.Post, path);
            request.Headers.Host = host;
            if (origin is not null)
                request.Headers.Add("Origin", origin);
            if (site is not null)
                request.Headers.Add("Sec-Fetch-Site", site);
            using var client = server.CreateClient();
            Assert.Equal(status, (await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
        }
    }

    [Fact]
    public async Task Every_answer_carries_a_strict_policy()
    {
        using var client = server.CreateClient();
        foreach (var path in new[] { "/", "/api/setups", "/api/nothing" })
        {
            var policy = (await SendAsync(client, HttpMethod.Get, path))
                .Headers.GetValues("Content-Security-Policy")
                .Single();
            Assert.Contains("default-src 'none'; script-src 'self';", policy, StringComparison.Ordinal);
            Assert.DoesNotContain("unsafe", policy, StringComparison.Ordinal);
        }
    }
}
