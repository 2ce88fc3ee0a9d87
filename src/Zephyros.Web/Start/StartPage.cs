using Zephyros.Web.Guards;
using Zephyros.Web.Problems;

namespace Zephyros.Web.Start;

/// <summary>Serves the one page of the interface for every address that is no file and no endpoint.</summary>
internal static class StartPage
{
    private const string NoncePlace = "__CSP_NONCE__";

    /// <summary>Maps the page, and says clearly when an address below /api is none.</summary>
    public static void Map(WebApplication app)
    {
        app.MapFallback(
            "/api/{**rest}",
            (HttpContext context) => Problem.NotFound($"There is no {context.Request.Path}.")
        );
        app.MapFallback(
            (HttpContext context, IWebHostEnvironment host) =>
            {
                var file = host.WebRootFileProvider.GetFileInfo("index.html");
                if (!file.Exists)
                    return Problem.NotFound("The interface is not built: run \"make demo\".");
                using var reader = new StreamReader(file.CreateReadStream());
                var page = reader
                    .ReadToEnd()
                    .Replace(NoncePlace, SecurityHeaders.NonceOf(context), StringComparison.Ordinal);
                context.Response.Headers.CacheControl = "no-store";
                return Results.Text(page, "text/html; charset=utf-8");
            }
        );
    }
}
