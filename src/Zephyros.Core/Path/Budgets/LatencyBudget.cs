using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Path.Budgets;

/// <summary>How long a movement takes from the stick to the board's control loop, part by part.</summary>
public static class LatencyBudget
{
    // A board's loop runs at some kilohertz; a millisecond is on the safe side.
    [Figure(Station.Board, "A board's control loop takes about", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds BoardLoop = new(1);

    /// <summary>The parts, each at its worst.</summary>
    /// <param name="setup">A valid setup.</param>
    public static IReadOnlyList<LatencyPart> Of(Setup setup)
    {
        var wire = setup.Wire.Format.Codec().Descriptor;
        var waits = setup.Wire.FramePeriod.Value * wire.FramesForAll;
        return
        [
            new("Waits for the next packet", new Milliseconds(1000 / setup.Air.PacketRate.Value)),
            new(
                wire.FramesForAll == 1
                    ? "Waits for the next frame"
                    : $"Waits for the frame that carries it, one of {wire.FramesForAll}",
                new Milliseconds(waits)
            ),
            new("Frame on the wire", wire.TimeOnWire),
            new("The board's own loop, about", BoardLoop),
        ];
    }
}
