using Zephyros.Core.Craft;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Where the craft is when the board begins what it does on a loss: from the last packet until then it flies on as it did.</summary>
internal static class FlownOn
{
    /// <summary>How far away home is then: the craft flies away from it, which is the worst.</summary>
    public static Metres Away(SignalPlan plan, FlightAtLoss flight) =>
        (flight.Pilot ?? default) + new Metres(flight.Speed.Value * Lasts(plan).Value / 1000);

    /// <summary>How high it is then at most, in whole metres from where it was: it climbs on, and a dive may have ended.</summary>
    public static Metres Highest(SignalPlan plan, FlightAtLoss flight)
    {
        // The last packet and the last frame may each have come a period before they are missed.
        var lasts =
            Lasts(plan) + new Milliseconds(1000 / plan.Setup.Air.PacketRate.Value) + plan.Setup.Wire.FramePeriod;
        return flight.Height + new Metres(Math.Ceiling(flight.Climb.AtLeast(default).Value * lasts.Value / 1000));
    }

    private static Milliseconds Lasts(SignalPlan plan)
    {
        var (air, board) = (plan.Setup.Air, plan.Setup.Board);
        return air.GivesUp + board.SignalTimeout + board.Loss.Grace;
    }
}
