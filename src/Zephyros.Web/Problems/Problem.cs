using Microsoft.AspNetCore.Mvc;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Web.Problems;

/// <summary>Makes problem responses (RFC 9457).</summary>
internal static class Problem
{
    /// <summary>A problem with a reason.</summary>
    /// <param name="status">The HTTP status.</param>
    /// <param name="title">The kind of problem, in a few words.</param>
    /// <param name="detail">What is wrong and what would be right.</param>
    /// <param name="errors">The places in the request that are wrong, when there are any.</param>
    public static IResult Of(int status, string title, string detail, IReadOnlyList<SetupProblem>? errors = null)
    {
        var problem = new ProblemDetails
        {
            Status = status,
            Title = title,
            Detail = detail,
        };
        if (errors is not null)
            problem.Extensions["errors"] = errors;
        return TypedResults.Problem(problem);
    }

    /// <summary>400: the document or edit is not valid; each error names its place.</summary>
    public static IResult Invalid(string title, IReadOnlyList<SetupProblem> errors)
    {
        var first = errors[0];
        var more = errors.Count > 1 ? $" ({errors.Count - 1} more)" : "";
        var place = first.Place.Length > 0 ? $"At {first.Place}: " : "";
        return Of(StatusCodes.Status400BadRequest, title, $"{place}{first.Reason}{more}", errors);
    }

    /// <summary>404.</summary>
    public static IResult NotFound(string detail) => Of(StatusCodes.Status404NotFound, "Not found", detail);
}
