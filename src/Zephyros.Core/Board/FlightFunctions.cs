namespace Zephyros.Core.Board;

/// <summary>Which of the functions that fly the craft works when several are on: the board has one fixed order for them.</summary>
/// <remarks>Common practice, no source: return home beats everything, then manual, then position hold, then cruise, then the
/// levelling functions; none selected is rate flight.</remarks>
public static class FlightFunctions
{
    private static readonly FunctionKind[] ByPriority =
    [
        FunctionKind.ReturnHome,
        FunctionKind.Manual,
        FunctionKind.PositionHold,
        FunctionKind.Cruise,
        FunctionKind.SelfLevel,
        FunctionKind.BlendedLevel,
    ];

    /// <summary>True for a function that flies the craft.</summary>
    public static bool Flies(FunctionKind kind) => Array.IndexOf(ByPriority, kind) >= 0;

    /// <summary>True for a function that starts only once the board has a position fix (it cannot be tested indoors).</summary>
    public static bool NeedsFix(FunctionKind kind) =>
        kind is FunctionKind.ReturnHome or FunctionKind.PositionHold or FunctionKind.Cruise;

    /// <summary>What flies the craft, and what is on but shadowed by it, the strongest first.</summary>
    /// <param name="plan">The board.</param>
    /// <param name="view">What it reads from the last frame.</param>
    /// <param name="fix">True while the board has a position fix; without one, what needs it does not start.</param>
    /// <returns>The ids of the active flight functions: the first works, the others are shadowed; none in rate flight.</returns>
    public static IReadOnlyList<string> ByStrength(BoardPlan plan, BoardView view, bool fix) =>
        [
            .. plan
                .Functions.Select((f, i) => (f.Key, f.Value.Kind, On: view.Has(BoardPlan.BitOf(i))))
                .Where(f => f.On && Flies(f.Kind) && (fix || !NeedsFix(f.Kind)))
                .OrderBy(f => Array.IndexOf(ByPriority, f.Kind))
                .ThenBy(f => f.Key, StringComparer.Ordinal)
                .Select(f => f.Key),
        ];
}
