using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A flight function that is switched on somewhere, but wherever its own control switches it on, a stronger one is on too.</summary>
public sealed class FunctionShadowed : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        foreach (var (id, function) in plan.Board.Functions)
        {
            if (!FlightFunctions.Flies(function.Kind) || plan.Model.IndexOf(function.Control) < 0)
                continue;
            var positions = plan.Setup.Transmitter.Controls[function.Control].NamedPositions;
            var seen = positions
                .Select(p =>
                    FlightFunctions.ByStrength(
                        plan.Board,
                        plan.Board.View(plan.With(function.Control, p.Setting).Received),
                        fix: true
                    )
                )
                .Where(on => on.Contains(id, StringComparer.Ordinal))
                .ToArray();
            if (seen.Length == 0 || Array.Exists(seen, on => on[0] == id))
                continue;
            var stronger = plan.Setup.Board.Functions[seen[0][0]].Label;
            yield return new Finding
            {
                Key = $"function-shadowed:{id}",
                Severity = Severity.Caution,
                Station = Station.Board,
                Place = $"/board/functions/{id}",
                Title = $"{function.Label} never works",
                What =
                    $"Wherever its control switches {function.Label} on, {stronger} is on too, and the board gives that the way.",
                Why = "The pilot believes in one way of flying and gets another.",
                Provenance = Provenance.Practice(
                    "return home, manual, position hold, cruise, then the levelling functions"
                ),
                MayBeJustified = true,
                Fixes = [],
            };
        }
    }
}
