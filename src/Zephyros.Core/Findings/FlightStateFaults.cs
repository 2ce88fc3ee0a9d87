using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.States;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Flight states that reach nothing, to which no way is found, or that a board cannot tell apart.</summary>
public sealed class FlightStateFaults : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var model = plan.Setup.Model;
        if (model.States.Count == 0)
            yield break;
        if (ModelReferences.Of(model).All(r => r.Kind != ReferenceKind.State))
        {
            yield return ReachNothing();
            yield break;
        }

        var rows = StateTable.Of(plan).Rows;
        foreach (var row in rows)
        {
            if (row.Reached is null)
                yield return Unreached(model, row);
            else if (row.SameAs.FirstOrDefault(s => string.CompareOrdinal(s, row.State) > 0) is { } twin)
                yield return Alike(model, row.State, twin);
        }
    }

    private static Finding ReachNothing() =>
        new()
        {
            Key = "flight-states-reach-nothing",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = "/model/states",
            Title = "The flight states reach no channel",
            What = "No chain takes a value from them and no condition asks for them.",
            Why = "Setting up flight states alone does nothing: the board never learns of them.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes = [],
        };

    private static Finding Unreached(TransmitterModel model, StateRow row)
    {
        var label = model.States[row.State].Label;
        var above = string.Join(", ", row.ShadowedBy.Select(s => model.States[s].Label));
        return new Finding
        {
            Key = $"flight-state-unreached:{row.State}",
            Severity = Severity.Danger,
            Station = Station.Model,
            Place = $"/model/states/{row.State}",
            Title = $"No way to flight state {label} was found",
            What =
                above.Length > 0
                    ? $"Whenever its condition held, {above} was active in its place."
                    : "Its condition held at no time.",
            Why = "The pilot selects it and the craft does something else.",
            Provenance = Provenance.Computed(
                $"up to {Figures.Plain(StateTable.MostTries)} combinations of what decides were tried from switch-on, and up to {Figures.Plain(StateWalk.MostMoves)} moves one after another"
            ),
            MayBeJustified = true,
            Fixes = [],
        };
    }

    private static Finding Alike(TransmitterModel model, string one, string other) =>
        new()
        {
            Key = $"flight-states-alike:{one}:{other}",
            Severity = Severity.Caution,
            Station = Station.Model,
            Place = $"/model/states/{one}",
            Title = $"{model.States[one].Label} and {model.States[other].Label} send the same",
            What = "Every channel of the table has the same value in both.",
            Why = "A board that reads these channels together cannot tell the two apart.",
            Provenance = Provenance.Computed("from the table flight state × channel"),
            MayBeJustified = true,
            Fixes = [],
        };
}
