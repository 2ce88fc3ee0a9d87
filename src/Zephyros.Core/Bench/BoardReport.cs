using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>What the board says, and why, in words.</summary>
/// <param name="Standing">The state.</param>
/// <param name="Title">The state as a headline.</param>
/// <param name="Reason">Why, and what would change it.</param>
public sealed record BoardReport(BoardStanding Standing, string Title, string Reason)
{
    /// <summary>Puts a board's state into words.</summary>
    /// <param name="plan">The compiled setup.</param>
    /// <param name="state">The state.</param>
    /// <param name="reading">What the board made of the last good frame.</param>
    public static BoardReport Of(SignalPlan plan, BoardState state, BoardReading reading)
    {
        if (!state.Powered)
            return new(BoardStanding.Unpowered, "No power", "The craft's battery is not connected.");
        if (!state.HasSignal)
            return new(
                BoardStanding.NoSignal,
                "No signal",
                "No good frames arrive. Motors are off, and the board will not arm."
            );
        if (state.Armed)
        {
            var throttle = CraftResponse.Throttle(reading.Throttle);
            return new(
                BoardStanding.Armed,
                "Armed",
                $"Motors may turn: throttle {Figures.Plain(throttle.Value, 0)} %. Propellers off on the bench."
            );
        }

        if (state.Refusal != ArmRefusal.None)
            return new(BoardStanding.Refused, "Refused", Refusal(plan, state.Refusal, reading));
        return NotAsked(plan, reading);
    }

    /// <summary>Why a board refuses to arm, as a sentence.</summary>
    public static string Refusal(SignalPlan plan, ArmRefusal refusal, BoardReading reading) =>
        refusal switch
        {
            ArmRefusal.NoSignal => "No good frames arrive.",
            ArmRefusal.SwitchOnAtPowerUp =>
                $"{ArmControl(plan)} was already on when the board got power. Put it off, then on.",
            ArmRefusal.SwitchOnAtSignalReturn =>
                $"{ArmControl(plan)} was already on when the signal returned. Put it off, then on.",
            ArmRefusal.ThrottleNotLow when reading.ThrottleIsLow =>
                $"Throttle was not low when {ArmControl(plan)} went on. It is low now: put the switch off, then on.",
            ArmRefusal.ThrottleNotLow => ThrottleHigh(plan, reading),
            _ => "",
        };

    private static BoardReport NotAsked(SignalPlan plan, BoardReading reading)
    {
        if (plan.Setup.Board.Arm is not { Value: var arm })
            return new(BoardStanding.NotReady, "Will not arm", "The board has no arm function.");
        if (ArmingControl(plan) is null)
            return new(
                BoardStanding.NotReady,
                "Will not arm",
                $"The board waits for AUX {arm.Aux} to arm, and no control reaches it there."
            );
        return reading.ThrottleIsLow
            ? new(BoardStanding.Ready, "Disarmed", $"Ready: {ArmControl(plan)} arms. Propellers off?")
            : new(BoardStanding.NotReady, "Will not arm", ThrottleHigh(plan, reading));
    }

    private static string ThrottleHigh(SignalPlan plan, BoardReading reading)
    {
        var setup = plan.Setup;
        var number = setup.Board.Map.ChannelOf(StickAxis.Throttle);
        var source = ChannelOrder.StickOn(setup.Model, setup.Transmitter, number);
        var wrong = source is { } axis && axis != StickAxis.Throttle ? $" It is reading the {axis.Word()} stick." : "";
        return $"Throttle reads {Figures.Plain(reading.Throttle.Value, 0)} µs, must be below {setup.Board.ThrottleLow}.{wrong}";
    }

    private static string ArmControl(SignalPlan plan) => ArmingControl(plan) ?? "The arm switch";

    // The control that really works the arm function, whichever one is meant to.
    private static string? ArmingControl(SignalPlan plan)
    {
        if (
            plan.Setup.Board.Arm is not { Value: var arm }
            || arm.Channel.Value > SignalPlan.CarriedChannels(plan.Setup)
        )
            return null;
        if (plan.ChannelAt(arm.Channel) is not { } channel)
            return null;
        // The meant control where it has a say, otherwise whatever the channel takes.
        return channel.DependsOn(arm.Control)
            ? plan.Setup.Transmitter.Controls[arm.Control].Name
            : new ModelWords(plan.Setup.Transmitter, plan.Setup.Model).Of(channel.Channel.Take);
    }
}
