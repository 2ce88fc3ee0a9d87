using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Edits;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about a return home have in common: the flight, and the way that it would be.</summary>
internal static class HomewardFaults
{
    /// <summary>The return home of a setup, with the flight as high as it is at most when the board turns round.</summary>
    /// <returns>Null where the board does not fly home, has nothing that tells it where it is, or no flight is written down; the way is null
    /// where the distance of home is not.</returns>
    public static (FlightAtLoss Flight, ReturnSettings Settings, WayBack? Way)? Of(SignalPlan plan)
    {
        var (board, craft) = (plan.Setup.Board, plan.Setup.Craft);
        if (
            board.Loss.Procedure != LossProcedure.ReturnHome
            || !board.Equipment.PositionReceiver
            || craft.AtLoss is not { } written
        )
            return null;
        var flight = written with { Height = FlownOn.Highest(plan, written) };
        var (settings, away) = (board.Loss.Return, flight.Pilot);
        return (
            flight,
            settings,
            away is null ? null : WayBack.Of(craft, settings, flight, FlownOn.Away(plan, flight))
        );
    }

    /// <summary>The fix that lets the board come down where it is.</summary>
    public static Fix Lands(SignalPlan plan) =>
        new(
            "lands",
            "Comes down where it is.",
            BoardEdits.OnLoss(plan.Setup, "Lands on a loss", l => l with { Procedure = LossProcedure.Land })
        );

    /// <summary>A fix that lets the board fly home in another way.</summary>
    public static Fix Otherwise(
        SignalPlan plan,
        string id,
        string words,
        Func<ReturnSettings, ReturnSettings> change
    ) => new(id, words, BoardEdits.OnLoss(plan.Setup, words.TrimEnd('.'), l => l with { Return = change(l.Return) }));
}
