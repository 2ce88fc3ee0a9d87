using Microsoft.AspNetCore.Mvc;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
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
    /// <param name="title">The kind of problem, in a few words.</param>
    /// <param name="errors">What is wrong, by its place as a JSON Pointer.</param>
    /// <param name="setup">Where things are looked up for their names, when the places are of a setup.</param>
    public static IResult Invalid(string title, IReadOnlyList<SetupProblem> errors, Setup? setup = null)
    {
        var first = errors[0];
        var more = errors.Count > 1 ? $" ({errors.Count - 1} more)" : "";
        // Pilots know no pointers; programs find them among the errors.
        var place = first.Place.Length > 0 ? $"{Words(first.Place, setup)}: " : "";
        return Of(StatusCodes.Status400BadRequest, title, $"{place}{first.Reason}{more}", errors);
    }

    /// <summary>A place of a setup in words; as it is when it is no pointer.</summary>
    public static string Words(string place, Setup? setup)
    {
        var words = (setup is null ? FieldWords.Of(place) : FieldWords.Of(place, setup)).Words;
        return words.Length > 0 ? words : place;
    }

    /// <summary>404.</summary>
    public static IResult NotFound(string detail) => Of(StatusCodes.Status404NotFound, "Not found", detail);
}
