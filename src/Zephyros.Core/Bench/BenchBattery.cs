using Zephyros.Core.Craft;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>The flight battery on the bench: what flows out of it, and how much has. Between two looks the current stays as it is.</summary>
internal sealed class BenchBattery
{
    private MilliampHours used;
    private Amperes current;
    private TimeSpan since;

    /// <summary>A battery that stands as this one does.</summary>
    public BenchBattery Copy() =>
        new()
        {
            used = used,
            current = current,
            since = since,
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
            board.State.Powered && BatteryModel.Of(plan.Setup.Craft) is { } model
                ? model.Current(board.State.Motors, CraftResponse.Throttle(board.Reading.Throttle))
                : default;
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
