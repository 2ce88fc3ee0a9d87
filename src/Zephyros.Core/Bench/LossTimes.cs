using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>When a board that stands armed at idle should do what on a loss of the signal, after the last packet: what a test at the bench
/// must come to.</summary>
/// <param name="Notices">When it knows that the signal is lost, at the latest; a frame earlier at best.</param>
/// <param name="Stops">When its motors stand, at the latest.</param>
public sealed record LossTimes(Milliseconds Notices, Milliseconds Stops)
{
    /// <summary>The times of a setup.</summary>
    /// <returns>Null when the receiver goes on sending: the board is told of no loss.</returns>
    public static LossTimes? Of(Setup setup)
    {
        if (setup.Air.OnLoss != ReceiverLoss.Silent)
            return null;
        var (board, loss) = (setup.Board, setup.Board.Loss);
        var gives = setup.Air.GivesUp;
        var notices = gives + board.SignalTimeout;
        var begins = notices + loss.Grace;
        // A craft that has not flown just stops, where its board knows that; otherwise it flies by itself, on the bench too.
        return new LossTimes(notices, FliesAtIdle(loss) ? begins + loss.LandingTime : begins);
    }

    /// <summary>True when the procedure turns the motors up on the bench too, from idle.</summary>
    public static bool FliesAtIdle(LossSettings loss) =>
        loss is { Procedure: not LossProcedure.Stop, FlownOnly: false, LowBefore: null };
}
