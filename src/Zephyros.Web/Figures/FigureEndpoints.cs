using Zephyros.Core.Units;

namespace Zephyros.Web.Figures;

/// <summary>The figures of the trade that the program computes with.</summary>
internal static class FigureEndpoints
{
    /// <summary>Maps the endpoint.</summary>
    public static void Map(WebApplication app) =>
        app.MapGet("/api/figures", () => TypedResults.Ok(FigureRegister.All))
            .WithName("ListFigures")
            .Produces<IReadOnlyList<TradeFigure>>();
}
