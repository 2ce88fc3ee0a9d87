using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Findings;

/// <summary>The board reads the signal from an analogue input, though it comes with the frames as well.</summary>
public sealed class AnalogueSignalLeftOn : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        if (!setup.Board.Equipment.AnalogueSignal)
            yield break;
        var channel = setup
            .Board.Functions.Values.Where(f => f.Kind == FunctionKind.SignalQuality)
            .Select(f => f.Channel.ToString())
            .FirstOrDefault();
        var format = setup.Wire.Format.Describe();
        if ((channel ?? (format.TwoWay ? format.Name : null)) is not { } source)
            yield break;
        yield return new Finding
        {
            Key = "analogue-signal-left-on",
            Severity = Severity.Caution,
            Station = Station.Board,
            Place = "/board/equipment/analogueSignal",
            Title = "The signal is read from an analogue input as well",
            What = $"The board has it from {source}, and the analogue input is on.",
            Why =
                "Of the two the goggles show one, and it may be the pin that nothing is soldered to: a signal that never changes.",
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "off",
                    "The analogue input is switched off at the board.",
                    SetupEdit.Between(
                        "The board reads no analogue signal",
                        setup,
                        setup with
                        {
                            Board = setup.Board with
                            {
                                Equipment = setup.Board.Equipment with { AnalogueSignal = false },
                            },
                        }
                    )
                ),
            ],
        };
    }
}
