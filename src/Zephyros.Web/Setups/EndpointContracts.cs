using Microsoft.AspNetCore.Mvc;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Setups;

/// <summary>What the endpoints answer with, for the OpenAPI document.</summary>
internal static class EndpointContracts
{
    /// <summary>Answers with <typeparamref name="T"/>, or 404.</summary>
    public static RouteHandlerBuilder Finds<T>(this RouteHandlerBuilder endpoint) =>
        endpoint.Produces<T>().Problem(StatusCodes.Status404NotFound);

    /// <summary>Answers a body with <typeparamref name="T"/>, or 400 or 404.</summary>
    public static RouteHandlerBuilder Answers<T>(this RouteHandlerBuilder endpoint) =>
        endpoint.Finds<T>().Problem(StatusCodes.Status400BadRequest);

    /// <summary>Makes a setup: 201, or 400 or 413.</summary>
    public static RouteHandlerBuilder Creates(this RouteHandlerBuilder endpoint) =>
        endpoint
            .Produces<SetupDocument>(StatusCodes.Status201Created)
            .Problem(StatusCodes.Status400BadRequest)
            .Problem(StatusCodes.Status413PayloadTooLarge);

    /// <summary>Writes a revision: the new state, or the reason why not.</summary>
    public static RouteHandlerBuilder Changes(this RouteHandlerBuilder endpoint) =>
        endpoint
            .Produces<SetupDocument>()
            .Problem(StatusCodes.Status400BadRequest)
            .Problem(StatusCodes.Status404NotFound)
            .Problem(StatusCodes.Status409Conflict)
            .Problem(StatusCodes.Status412PreconditionFailed)
            .Problem(StatusCodes.Status428PreconditionRequired);

    /// <summary>Answers with nothing: 204, or 404.</summary>
    public static RouteHandlerBuilder Leaves(this RouteHandlerBuilder endpoint) =>
        endpoint.Produces(StatusCodes.Status204NoContent).Problem(StatusCodes.Status404NotFound);

    private static RouteHandlerBuilder Problem(this RouteHandlerBuilder endpoint, int status) =>
        endpoint.Produces<ProblemDetails>(status, "application/problem+json");
}
