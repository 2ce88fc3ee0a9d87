using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Wire;

namespace Zephyros.Web.Contracts;

/// <summary>What follows from a setup and is drawn beside it.</summary>
/// <param name="Controls">The controls in the order of the dock.</param>
/// <param name="SentOrder">The order in which the transmitter sends the sticks; null when channels 1 to 4 do not take all four.</param>
/// <param name="Orders">All orders there are.</param>
/// <param name="Rows">What each position of a switch or button makes of its channels.</param>
/// <param name="CarriedChannels">How many channels get to the board.</param>
/// <param name="Wire">The facts of the wire format.</param>
public sealed record SetupView(
    IReadOnlyList<ControlView> Controls,
    StickOrder? SentOrder,
    IReadOnlyList<StickOrder> Orders,
    IReadOnlyList<ControlRow> Rows,
    int CarriedChannels,
    WireDescriptor Wire
)
{
    /// <summary>Computes the view of a setup.</summary>
    public static SetupView Of(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        return new SetupView(
            [.. plan.Model.Controls.Select(c => ControlView.Of(c.Key, c.Value, setup.Transmitter))],
            ChannelOrder.Of(setup.Model, setup.Transmitter),
            StickOrder.All,
            ControlRows.Of(plan),
            SignalPlan.CarriedChannels(setup),
            plan.Wire
        );
    }
}
