using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Several positions of the arm switch lie inside the arm band.</summary>
public sealed class ArmBandShared : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (ArmingPath.Of(plan) is not { Arrives: true } arming)
            yield break;
        var cells = arming.Cells;
        var arms = cells.Where(c => c.Activates(arming.FunctionId)).ToArray();
        if (arms.Length < 2)
            yield break;
        var all = arms.Length == cells.Count;
        var far = arms[^1];
        yield return new Finding
        {
            Key = $"arm-band-shared:{arming.FunctionId}",
            Severity = all ? Severity.Danger : Severity.Caution,
            Station = Station.Board,
            Place = $"{arming.Place}/low",
            Title = all
                ? $"No position of {arming.Control.Name} disarms"
                : $"{arms.Length} positions of {arming.Control.Name} arm",
            What =
                $"{string.Join(", ", arms.Select(c => $"{c.Name} ({c.Received})"))} lie inside {arming.Function.Low.Value:0} to {arming.Function.High}.",
            Why = all
                ? "Once armed, the switch cannot stop the motors."
                : "Two positions armed is right only when the further one does something more, on purpose. Say why, or narrow the band.",
            Provenance = Provenance.Practice(
                "one control may carry two functions on purpose, to be justified in a note"
            ),
            // A switch that cannot disarm is never right, so no note makes it so.
            MayBeJustified = !all,
            Fixes = [.. arming.BandAround(far, "narrow", $"Only the {far.Name} position arms.")],
        };
    }
}
