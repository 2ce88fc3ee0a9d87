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
        // After every endpoint. (The generator of endpoints does not know the order of MapFallback.)
        app.Map("/api/{**rest}", NoSuchEndpoint).WithOrder(int.MaxValue - 1).ExcludeFromDescription();
        app.MapMethods("{*path:nonfile}", [HttpMethods.Get, HttpMethods.Head], Page)
            .WithOrder(int.MaxValue)
            .ExcludeFromDescription();
    }

    private static IResult Page(HttpContext context, IWebHostEnvironment host)
    {
        var file = host.WebRootFileProvider.GetFileInfo("index.html");
        if (!file.Exists)
            return Problem.NotFound("The interface is not built: run \"make demo\".");
        using var reader = new StreamReader(file.CreateReadStream());
        var page = reader.ReadToEnd().Replace(NoncePlace, SecurityHeaders.NonceOf(context), StringComparison.Ordinal);
        context.Response.Headers.CacheControl = "no-store";
        return Results.Text(page, "text/html; charset=utf-8");
    }

    // An endpoint that takes JSON is passed over when something else is sent; then the address is right and the kind is not.
    private static IResult NoSuchEndpoint(HttpContext context)
    {
        var request = context.Request;
        return request.ContentLength is null or 0 || request.HasJsonContentType()
            ? Problem.NotFound($"There is no {request.Method} {request.Path}.")
            : Problem.Of(
                StatusCodes.Status415UnsupportedMediaType,
                "Not JSON",
                "Send the body as JSON, with Content-Type: application/json."
            );
    }
}
