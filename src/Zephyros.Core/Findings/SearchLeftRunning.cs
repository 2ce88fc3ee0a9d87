using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The transmitter goes on to search for sensors.</summary>
public sealed class SearchLeftRunning : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (!plan.Setup.Model.Searching)
            yield break;
        yield return new Finding
        {
            Key = "search-left-running",
            Severity = Severity.Caution,
            Station = Station.Return,
            Place = "/model/searching",
            Title = "The search for sensors was not ended",
            What = "The transmitter takes in whatever comes.",
            Why =
                "What another craft or a disturbed packet brings becomes a sensor of this model, beside those that count.",
            Provenance = Provenance.Practice(),
            MayBeJustified = false,
            Fixes =
            [
                new Fix(
                    "end",
                    "The search is ended, at the transmitter too.",
                    ModelEdits.InModel(plan.Setup, "The search is ended", m => m with { Searching = false })
                ),
            ],
        };
    }
}
