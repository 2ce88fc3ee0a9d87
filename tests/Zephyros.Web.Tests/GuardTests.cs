using System.Net;
using static Zephyros.Web.Tests.TestServer;

namespace Zephyros.Web.Tests;

public sealed class GuardTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("localhost", null, null, HttpStatusCode.OK)]
    [InlineData("LocalHost:5080", "http://LocalHost:5080", null, HttpStatusCode.OK)]
    [InlineData("127.0.0.1:5080", "http://127.0.0.1:5080", "same-origin", HttpStatusCode.OK)]
    [InlineData("[::1]:5080", null, "none", HttpStatusCode.OK)]
    [InlineData("rebound.example", null, null, HttpStatusCode.Forbidden)]
    [InlineData("192.168.1.20:5080", null, null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://evil.example", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://localhost:3000", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "null", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://localhost:5080.evil.example", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://localhost:50801", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://localhost", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "https://localhost:5080", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://127.0.0.1:5080", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost:5080", "http://evil.example/http://localhost:5080", null, HttpStatusCode.Forbidden)]
    [InlineData("localhost.evil.example", null, null, HttpStatusCode.Forbidden)]
    [InlineData("127.0.0.1.evil.example", null, null, HttpStatusCode.Forbidden)]
    [InlineData("0.0.0.0:5080", null, null, HttpStatusCode.Forbidden)]
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

    [Theory]
    [InlineData("PUT", "/craft/wren/model", HttpStatusCode.MethodNotAllowed)]
    [InlineData("DELETE", "/", HttpStatusCode.MethodNotAllowed)]
    [InlineData("POST", "/craft/wren/model", HttpStatusCode.MethodNotAllowed)]
    [InlineData("BREW", "/api/setups", HttpStatusCode.NotImplemented)]
    [InlineData("TRACE", "/craft/wren/model", HttpStatusCode.NotImplemented)]
    public async Task What_is_asked_in_an_odd_way_is_refused(string method, string path, HttpStatusCode status)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        using var client = server.CreateClient();
        Assert.Equal(status, (await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
    }

    // Opening a link from elsewhere is a navigation; whatever a foreign page fetches by itself is not.
    [Theory]
    [InlineData("cross-site", "navigate", HttpStatusCode.OK)]
    [InlineData("same-site", "navigate", HttpStatusCode.OK)]
    [InlineData("cross-site", "no-cors", HttpStatusCode.Forbidden)]
    [InlineData("same-site", "cors", HttpStatusCode.Forbidden)]
    [InlineData("same-origin", "cors", HttpStatusCode.OK)]
    public async Task A_link_from_elsewhere_may_be_followed_and_nothing_else(
        string site,
        string mode,
        HttpStatusCode status
    )
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/setups");
        request.Headers.Add("Sec-Fetch-Site", site);
        request.Headers.Add("Sec-Fetch-Mode", mode);
        using var client = server.CreateClient();
        Assert.Equal(status, (await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
    }

    // A form of a foreign page is a navigation too, but it names its origin.
    [Fact]
    public async Task A_form_of_a_foreign_page_is_refused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/setups/wren/proof/cancel");
        request.Headers.Add("Origin", "http://evil.example");
        request.Headers.Add("Sec-Fetch-Site", "cross-site");
        request.Headers.Add("Sec-Fetch-Mode", "navigate");
        using var client = server.CreateClient();
        Assert.Equal(
            HttpStatusCode.Forbidden,
            (await client.SendAsync(request, TestContext.Current.CancellationToken)).StatusCode
        );
    }

    [Fact]
    public async Task Every_answer_carries_a_strict_policy()
    {
        using var client = server.CreateClient();
        var nonces = new HashSet<string>(StringComparer.Ordinal);
        string[] paths = ["/", "/api/setups", "/api/nothing"];
        foreach (var path in paths)
        {
            var headers = (await SendAsync(client, HttpMethod.Get, path)).Headers;
            var policy = headers.GetValues("Content-Security-Policy").Single();
            var nonce = policy.Split("'nonce-")[1].Split('\'')[0];
            nonces.Add(nonce);
            Assert.Equal(16, Convert.FromBase64String(nonce).Length);
            Assert.Equal(
                $"default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; font-src 'self'; img-src 'self' data:; "
                    + "connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'",
                policy
            );
            foreach (
                var (name, value) in new[]
                {
                    ("X-Content-Type-Options", "nosniff"),
                    ("Referrer-Policy", "no-referrer"),
                    ("Cross-Origin-Opener-Policy", "same-origin"),
                    ("Cross-Origin-Resource-Policy", "same-origin"),
                }
            )
                Assert.Equal(value, headers.GetValues(name).Single());
        }

        Assert.Equal(paths.Length, nonces.Count);
    }
}
