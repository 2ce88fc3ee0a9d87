using Zephyros.Web.Problems;

namespace Zephyros.Web.Guards;

/// <summary>Serves this machine's own pages and nobody else: the host must be a loopback name (no DNS rebinding), and a request that
/// a page makes must come from a page of this very server (no cross-site calls).</summary>
internal sealed class LocalGuard(RequestDelegate next)
{
    private static readonly HashSet<string> Hosts = new(
        ["127.0.0.1", "localhost", "[::1]"],
        StringComparer.OrdinalIgnoreCase
    );

    public Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        if (!Hosts.Contains(request.Host.Host))
            return Refuse(context, $"This server answers to localhost only, not to \"{request.Host}\".");
        var origin = request.Headers.Origin.ToString();
        if (origin.Length > 0 && origin != $"{request.Scheme}://{request.Host}")
            return Refuse(context, $"Requests from \"{origin}\" are not served.");
        // A browser that sends no origin with a plain GET still says where the request comes from; opening a link is fine.
        var site = request.Headers["Sec-Fetch-Site"].ToString();
        var follows = request.Headers["Sec-Fetch-Mode"] == "navigate";
        return site is "cross-site" or "same-site" && !follows
            ? Refuse(context, "Requests from another site are not served.")
            : next(context);
    }

    private static Task Refuse(HttpContext context, string reason) =>
        Problem.Of(StatusCodes.Status403Forbidden, "Refused", reason).ExecuteAsync(context);
}
