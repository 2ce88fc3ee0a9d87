using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;
using Zephyros.Storage;

namespace Zephyros.Web.Problems;

/// <summary>Turns what a request may legitimately run into (a full disk, a locked file, a body over the limit) into a problem
/// response. Anything else is a fault of the program and stays a 500 without details.</summary>
internal sealed class ExceptionProblems : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        var problem = exception switch
        {
            SqliteException error => Problem.Of(
                StatusCodes.Status503ServiceUnavailable,
                "Data file",
                httpContext.RequestServices.GetRequiredService<Database>().Explain(error)
            ),
            StoreException error => Problem.Of(StatusCodes.Status503ServiceUnavailable, "Data file", error.Message),
            UnreadableException error => Problem.Of(
                StatusCodes.Status500InternalServerError,
                "Cannot be read",
                error.Message
            ),
            BadHttpRequestException error => Problem.Of(error.StatusCode, "Bad request", error.Message),
            _ => null,
        };
        if (problem is null)
            return false;
        await problem.ExecuteAsync(httpContext);
        return true;
    }
}
