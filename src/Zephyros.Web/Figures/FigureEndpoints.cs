using Zephyros.Core.Units;

namespace Zephyros.Web.Figures;

/// <summary>The figures of the trade that the program computes with, and the field's words.</summary>
internal static class FigureEndpoints
{
    /// <summary>Maps the endpoints.</summary>
    public static void Map(WebApplication app)
    {
        app.MapGet("/api/figures", () => TypedResults.Ok(FigureRegister.All))
            .WithName("ListFigures")
            .Produces<IReadOnlyList<TradeFigure>>();
        app.MapGet("/api/words", () => TypedResults.Ok(Glossary.All))
            .WithName("ListWords")
            .Produces<IReadOnlyList<TradeWord>>();
    }
}
