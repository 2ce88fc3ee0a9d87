using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The flight battery on the bench: what flows out of it, and how much has. Between two looks the current stays as it is.</summary>
internal sealed class BenchBattery
{
    [Figure(Station.Return, "A burst of full throttle takes on the bench", ProvenanceKind.OwnAssumption)]
    private static readonly TimeSpan BurstLength = TimeSpan.FromSeconds(2);

    private MilliampHours used;
    private Amperes current;
    private TimeSpan since;
    private TimeSpan burstUntil;

    /// <summary>A battery that stands as this one does.</summary>
    public BenchBattery Copy() =>
        new()
        {
            used = used,
            current = current,
            since = since,
            burstUntil = burstUntil,
        };

    /// <summary>Lets time pass, and another current flow from now on.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="board">The board, which knows what the motors do.</param>
    /// <param name="now">The time.</param>
    public void Follow(SignalPlan plan, BenchBoard board, TimeSpan now)
    {
        used += BatteryModel.Taken(current, now - since);
        since = now;
        current =
            !board.State.Powered || BatteryModel.Of(plan.Setup.Craft) is not { } model ? default
            : now < burstUntil ? model.Current(MotorLevel.Thrust, Percent.High)
            : model.Current(board.State.Motors, CraftResponse.Throttle(board.Reading.Throttle));
    }

    /// <summary>When a burst ends; <see cref="TimeSpan.MaxValue"/> when there is none.</summary>
    public TimeSpan BurstEnds => since < burstUntil ? burstUntil : TimeSpan.MaxValue;

    /// <summary>Lets as much flow as at full throttle, for a while.</summary>
    public void Burst(SignalPlan plan, BenchBoard board, TimeSpan now)
    {
        burstUntil = now + BurstLength;
        Follow(plan, board, now);
    }

    /// <summary>Puts another battery there, of which a share of the charge is left.</summary>
    /// <param name="model">The battery.</param>
    /// <param name="left">The share, 0 to 1.</param>
    /// <param name="now">The time.</param>
    public void Put(BatteryModel model, double left, TimeSpan now) =>
        (used, since) = (new MilliampHours(model.Battery.Capacity.Value * (1 - left)), now);

    /// <summary>What it gives at this moment; null while it is not written down.</summary>
    public BatteryPicture? Look(SignalPlan plan, TimeSpan now)
    {
        if (BatteryModel.Of(plan.Setup.Craft) is not { } model)
            return null;
        var taken = used + BatteryModel.Taken(current, now - since);
        var left = model.Left(taken);
        return new BatteryPicture(
            model.Voltage(taken, current),
            current,
            taken.AtMost(model.Battery.Capacity),
            new Percent(100 * left)
        );
    }
}
