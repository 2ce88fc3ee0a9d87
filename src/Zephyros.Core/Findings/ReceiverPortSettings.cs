using Zephyros.Core.Edits;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>The board has the function "receiver" on no port, on several, or on another than the one the receiver is soldered to.</summary>
public sealed class ReceiverPortSettings : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var board = plan.Setup.Board;
        var inBoard = plan.Setup.Air.Receiver.InBoard;
        var looked = board.Ports.Values.Any(p => p.ReceiverSet is not null);
        string[] set =
        [
            .. board
                .Ports.Where(p => p.Value.ReceiverSet == true)
                .OrderBy(p => p.Key, StringComparer.Ordinal)
                .Select(p => p.Key),
        ];
        string[] wanted = inBoard ? [] : [board.ReceiverPort];
        if (!looked || set.SequenceEqual(wanted, StringComparer.Ordinal))
            yield break;
        var labels = string.Join(" and ", set.Select(p => board.Ports[p].Label));
        yield return new Finding
        {
            Key = "receiver-port-settings",
            Severity = Severity.Danger,
            Station = Station.Wire,
            Place = "/board/ports",
            Title = (set.Length, inBoard) switch
            {
                (0, _) => "No port of the board is the receiver's",
                (1, false) => "The board listens on another port than the receiver is soldered to",
                _ => "The board is told of two receivers",
            },
            What =
                set.Length == 0
                    ? $"As read back, no port has the function “receiver”; it is soldered to {board.Ports[board.ReceiverPort].Label}."
                    : $"As read back, {labels} {(set.Length == 1 ? "has" : "have")} the function “receiver”; "
                        + (
                            inBoard
                                ? "the receiver is part of the board and needs none."
                                : $"it is soldered to {board.Ports[board.ReceiverPort].Label}."
                        ),
            Why =
                set.Length > wanted.Length
                    ? "The board takes one of them, or neither, and the fault comes and goes with restarts."
                    : "The board sees no signal and will not arm.",
            Provenance = Provenance.Practice("exactly one port is the receiver's"),
            MayBeJustified = false,
            Fixes =
            [
                new(
                    "as-soldered",
                    "Set it so on the board, save, let it restart, and read it back.",
                    WireEdits.ReceiverSetOnly(plan.Setup, inBoard ? null : board.ReceiverPort)
                ),
            ],
        };
    }
}
