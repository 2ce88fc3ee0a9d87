using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>No position of the arm switch gives a value inside the arm band.</summary>
public sealed class ArmBandUnreached : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (ArmingPath.Of(plan) is not { Arrives: true } arming || arming.Cells is not { Count: > 0 } cells)
            yield break;
        if (cells.Any(c => c.Activates(arming.FunctionId)))
            yield break;
        var far = cells[^1];
        yield return new Finding
        {
            Key = $"arm-band-unreached:{arming.FunctionId}",
            Severity = Severity.Danger,
            Station = Station.Board,
            Place = $"{arming.Place}/low",
            Title = $"No position of {arming.Control.Name} arms",
            What =
                $"Its positions arrive as {string.Join(", ", cells.Select(c => $"{c.Name} {c.Received}"))}; "
                + $"{arming.Function.Label} is active from {arming.Function.Low.Value:0} to {arming.Function.High}.",
            Why = "The board never arms, and gives no reason for it.",
            Provenance = Provenance.Memory("bands are half-open, in steps of 25 µs"),
            MayBeJustified = false,
            Fixes =
            [
                .. arming.BandAround(
                    far,
                    "band",
                    $"Puts the band around the {far.Name} position, midway to the next one."
                ),
            ],
        };
    }
}
