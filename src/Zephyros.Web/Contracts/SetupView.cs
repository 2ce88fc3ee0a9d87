using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Flights;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.Budgets;
using Zephyros.Core.Path.Controls;
using Zephyros.Core.Path.PowerOn;
using Zephyros.Core.Path.States;
using Zephyros.Core.Path.Timers;
using Zephyros.Core.Setups;
using Zephyros.Core.Wire;

namespace Zephyros.Web.Contracts;

/// <summary>What follows from a setup and is drawn beside it.</summary>
/// <param name="Controls">The controls in the order of the dock.</param>
/// <param name="SentOrder">The order in which the transmitter sends the sticks; null when channels 1 to 4 do not take all four.</param>
/// <param name="Orders">All orders there are.</param>
/// <param name="Rows">What each position of a switch or button makes of its channels.</param>
/// <param name="MeasuredRows">Those whose positions can be measured one by one.</param>
/// <param name="Uses">What every control does in every position, in the order of the controls.</param>
/// <param name="PowerOn">The controls that the radio must warn about at switch-on, and those left out.</param>
/// <param name="Chains">The chain of each channel in words, by the channel's id.</param>
/// <param name="Conditions">The conditions in words, by id.</param>
/// <param name="States">The table flight state x channel, by priority.</param>
/// <param name="StateCombinations">The first combinations of what decides about the flight state, with the state of each.</param>
/// <param name="StateCombinationCount">How many there are.</param>
/// <param name="CarriedChannels">How many channels get to the board.</param>
/// <param name="Modes">The ids of the board functions that fly the craft.</param>
/// <param name="Wire">The facts of the wire format.</param>
/// <param name="Latency">How long a movement takes from the stick to the board, part by part.</param>
/// <param name="Link">How far the radio link should reach.</param>
/// <param name="Ports">The ports of the board as places for the receiver, the best first.</param>
/// <param name="Board">The board's settings in groups, as sentences.</param>
/// <param name="Budget">What is planned on each channel, and what of it survives the link.</param>
/// <param name="Quality">Where the signal quality could travel.</param>
/// <param name="Return">What comes back from the craft.</param>
/// <param name="Timers">What each timer does, by its id.</param>
/// <param name="Alarms">The alarms on voltage, quality and strength.</param>
/// <param name="Goggles">What the goggles show.</param>
/// <param name="Starts">What the fields of something new start with.</param>
public sealed record SetupView(
    IReadOnlyList<ControlView> Controls,
    StickOrder? SentOrder,
    IReadOnlyList<StickOrder> Orders,
    IReadOnlyList<ControlRow> Rows,
    IReadOnlyList<ControlRow> MeasuredRows,
    IReadOnlyList<ControlUse> Uses,
    IReadOnlyList<PowerOnItem> PowerOn,
    IReadOnlyDictionary<string, ChainView> Chains,
    IReadOnlyDictionary<string, ConditionView> Conditions,
    IReadOnlyList<StateRow> States,
    IReadOnlyList<StateCombinationView> StateCombinations,
    int StateCombinationCount,
    int CarriedChannels,
    IReadOnlyList<string> Modes,
    WireDescriptor Wire,
    IReadOnlyList<LatencyPart> Latency,
    LinkBudget Link,
    IReadOnlyList<PortChoice> Ports,
    IReadOnlyList<BoardGroup> Board,
    IReadOnlyList<BudgetRow> Budget,
    QualityView Quality,
    ReturnView Return,
    IReadOnlyDictionary<string, TimerView> Timers,
    IReadOnlyList<AlarmView> Alarms,
    GogglesView Goggles,
    StartValues Starts
)
{
    // More than anybody reads; a list of all would be larger than the rest of the view.
    private const int MostCombinations = 100;

    /// <summary>Computes the view of a setup.</summary>
    public static SetupView Of(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        var words = new ModelWords(setup.Transmitter, setup.Model);
        var states = StateTable.Of(plan);
        var rows = ControlRows.Of(plan);
        return new SetupView(
            [.. plan.Model.Controls.Select(c => ControlView.Of(c.Key, c.Value, setup.Transmitter))],
            ChannelOrder.Of(setup.Model, setup.Transmitter),
            StickOrder.All,
            rows,
            Core.Measure.Positions.MeasuredRows.Among(plan, rows),
            plan.Uses,
            PowerOnCheck.Of(plan),
            ChainView.Of(setup.Model, words),
            ConditionView.Of(setup.Model, words),
            states.Rows,
            [.. states.Combinations.Take(MostCombinations).Select(c => new StateCombinationView(c.Words, c.State))],
            states.Combinations.Count,
            SignalPlan.CarriedChannels(setup),
            [.. plan.Board.Functions.Where(f => FlightFunctions.Flies(f.Value.Kind)).Select(f => f.Key)],
            plan.Wire,
            LatencyBudget.Of(setup),
            LinkBudget.Of(setup.Air),
            PortChoices.Of(setup.Board, plan.Wire),
            BoardGroups.Of(setup.Board, plan.Wire),
            ChannelBudget.Of(plan),
            QualityView.Of(setup),
            ReturnView.Of(plan),
            setup.Model.Timers.ToDictionary(
                t => t.Key,
                t => new TimerView(words.Of(t.Value), TimerTrial.Of(plan, t.Value) ?? []),
                StringComparer.Ordinal
            ),
            [.. Alarm.Of(setup).Select(a => AlarmView.Of(setup, a))],
            GogglesView.Of(plan),
            StartValues.With(setup.Transmitter)
        );
    }
}
