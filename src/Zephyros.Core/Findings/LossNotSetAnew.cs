using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The craft was copied, and what its receiver and board do on a loss came along without anybody having set it on them.</summary>
public sealed class LossNotSetAnew : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        if (plan.Setup.Air.LossCopiedFrom is not { Length: > 0 } other)
            yield break;
        yield return new Finding
        {
            Key = "loss-not-set-anew",
            Severity = Severity.Caution,
            Station = Station.Air,
            Place = "/air/lossCopiedFrom",
            Title = "What happens on a loss was copied",
            What = $"It is that of {other}. A receiver keeps what was set on it, and so does a board.",
            Why = "A copy in here sets nothing there: this craft may hold its last values where the other one stops.",
            Provenance = Provenance.Practice("name, link and behaviour on a loss are set anew in each copy"),
            MayBeJustified = false,
            Fixes =
            [
                new Fix(
                    "set",
                    "Set on this receiver and this board, as it stands here.",
                    AirEdits.InAir(
                        plan.Setup,
                        "What happens on a loss was set on this craft",
                        air => air with { LossCopiedFrom = "" }
                    )
                ),
            ],
        };
    }
}
