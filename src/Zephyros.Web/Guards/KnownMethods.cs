using Zephyros.Web.Problems;

namespace Zephyros.Web.Guards;

/// <summary>Refuses what is no request for anything here, such as CONNECT, whose address is no path.</summary>
internal sealed class KnownMethods(RequestDelegate next)
{
    private static readonly HashSet<string> Methods = new(
        [
            HttpMethods.Get,
            HttpMethods.Head,
            HttpMethods.Post,
            HttpMethods.Put,
            HttpMethods.Patch,
            HttpMethods.Delete,
            HttpMethods.Options,
        ],
        StringComparer.Ordinal
    );

    public Task InvokeAsync(HttpContext context) =>
        Methods.Contains(context.Request.Method)
            ? next(context)
            : Problem
                .Of(StatusCodes.Status501NotImplemented, "Not known", $"This server knows no {context.Request.Method}.")
                .ExecuteAsync(context);
}
