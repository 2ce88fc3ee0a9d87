using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The receiver puts the signal quality into a channel that is used for something else, or that nothing shows.</summary>
public sealed class QualityOverwrites : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (setup.Air.Receiver.QualityOn is not { } on)
            yield break;
        var number = new ChannelNumber(on);
        string[] used =
        [
            .. setup.Model.Channels.Values.Where(c => c.Number == number).Select(c => c.Label),
            .. setup
                .Board.Functions.Values.Where(f => f.Channel == number && f.Kind != FunctionKind.SignalQuality)
                .Select(f => f.Label)
                .Order(StringComparer.Ordinal),
        ];
        var arrives = on <= SignalPlan.CarriedChannels(setup);
        var shown = setup.Board.Functions.Values.Any(f => f.Channel == number && f.Kind == FunctionKind.SignalQuality);
        if (used.Length == 0 && arrives && shown)
            yield break;
        yield return new Finding
        {
            Key = "quality-overwrites",
            Severity = used.Length > 0 ? Severity.Danger : Severity.Caution,
            Station = Station.Air,
            Place = "/air/receiver/qualityOn",
            Title = (used.Length, arrives) switch
            {
                (> 0, _) => $"The signal quality overwrites {number}",
                (_, false) => $"The signal quality on {number} does not arrive",
                _ => $"Nothing shows the signal quality on {number}",
            },
            What = (used.Length, arrives) switch
            {
                (> 0, _) =>
                    $"The receiver puts it there, over {string.Join(" and ", used.Distinct(StringComparer.Ordinal))}.",
                (_, false) => $"{SignalPlan.CarriedChannels(setup)} channels get to the board.",
                _ => "No function of the board is told to read it there.",
            },
            Why =
                used.Length > 0
                    ? "What the board does there follows the signal quality instead of the pilot."
                    : "The goggles show no quality, or an old one.",
            Provenance = Provenance.Practice(),
            MayBeJustified = false,
            Fixes =
            [
                .. QualityChannels
                    .Free(setup)
                    .Select(c => c.Channel)
                    .OrderBy(c => c != number)
                    .Take(2)
                    .Select(c => new Fix(
                        $"channel-{c.Value}",
                        $"Set the receiver to {c}, and let the board read it on AUX {c.Aux}.",
                        QualityEdits.ByReceiver(setup, c)
                    )),
            ],
        };
    }
}
