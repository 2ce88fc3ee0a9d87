namespace Zephyros.Core.Units;

/// <summary>A figure of the trade that something here is computed with.</summary>
/// <param name="Id">Its id: the type and the member that hold it.</param>
/// <param name="Station">Where on the path it belongs.</param>
/// <param name="Name">What it is.</param>
/// <param name="Value">The bare number, in the unit.</param>
/// <param name="Unit">The unit; empty for a count.</param>
/// <param name="From">Where it comes from.</param>
public sealed record TradeFigure(string Id, Station Station, string Name, double Value, string Unit, Provenance From)
{
    /// <summary>The number with its unit; a long time in seconds.</summary>
    public string Words =>
        Unit == Milliseconds.Symbol && Value >= 1000 ? $"{Figures.Plain(Value / 1000, 3)} s"
        : Unit.Length > 0 ? $"{Figures.Plain(Value, 3)} {Unit}"
        : Figures.Plain(Value, 3);
}
