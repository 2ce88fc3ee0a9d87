using Zephyros.Core.Board;
using Zephyros.Core.Craft;
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
    /// <summary>What flies the craft, and what is on but shadowed by it; empty while the pilot's signal does not count.</summary>
    public string Flight { get; private init; } = "";

    /// <summary>Puts a board's state into words.</summary>
    /// <param name="plan">The compiled setup.</param>
    /// <param name="state">The state.</param>
    /// <param name="reading">What the board made of the last good frame.</param>
    public static BoardReport Of(SignalPlan plan, BoardState state, BoardReading reading) =>
        state is { Powered: true, HasSignal: true }
            ? Words(plan, state, reading) with
            {
                Flight = FlightWords(plan.Board, reading),
            }
            : Words(plan, state, reading);

    private static string FlightWords(BoardPlan board, BoardReading reading)
    {
        var strongest = FlightFunctions.ByStrength(board, reading.View, reading.Fix);
        string[] on = [.. strongest.Select(id => board.Board.Functions[id].Label)];
        string[] waiting =
        [
            .. FlightFunctions
                .ByStrength(board, reading.View, fix: true)
                .Except(strongest, StringComparer.Ordinal)
                .Select(id => board.Board.Functions[id].Label),
        ];
        var flies = on switch
        {
            [] => "Rate flight",
            [var only] => only,
            [var first, .. var others] => $"{first}, which shadows {string.Join(" and ", others)}",
        };
        return waiting.Length == 0
            ? flies
            : $"{flies}; {string.Join(" and ", waiting)} {(waiting.Length == 1 ? "waits" : "wait")} for a position fix";
    }

    private static BoardReport Words(SignalPlan plan, BoardState state, BoardReading reading)
    {
        if (!state.Powered)
            return new(BoardStanding.Unpowered, "No power", "The craft's battery is not connected.");
        if (state.Armed && !state.HasSignal)
            return Flying(plan, state);
        if (!state.HasSignal)
            return new(
                BoardStanding.NoSignal,
                "No signal",
                "No good frames arrive. Motors are off, and the board will not arm."
            );
        if (state.Armed)
        {
            return new(BoardStanding.Armed, "Armed", $"{Motors(plan, state, reading)} Propellers off on the bench.");
        }

        if (state.Refusal != ArmRefusal.None)
            return new(BoardStanding.Refused, "Refused", Refusal(plan, state.Refusal, reading));
        return NotAsked(plan, reading);
    }

    /// <summary>What became of the signal, to be said aloud.</summary>
    public static string Loss(BoardState before, BoardState after) =>
        after.Signal switch
        {
            BoardSignal.Good => "Signal good",
            BoardSignal.Grace => "Signal lost, waiting for it",
            BoardSignal.Landing => "Landing by itself",
            BoardSignal.Returning => "Flying home by itself",
            BoardSignal.None when before.Signal == BoardSignal.Landing => "Landed, motors stopped",
            BoardSignal.None => before.Armed ? "Signal lost, motors stopped" : "Signal lost",
        };

    // Armed, and the pilot does not command.
    private static BoardReport Flying(SignalPlan plan, BoardState state)
    {
        var loss = plan.Setup.Board.Loss;
        var back =
            loss.Recovery == FlightRecovery.AtOnce
                ? "The pilot has it back with the first good frame."
                : "The pilot has it back when a stick is deflected after frames are back.";
        return state.Signal switch
        {
            BoardSignal.Grace => new(
                BoardStanding.NoSignal,
                "Signal lost",
                $"The board waits {loss.Grace} on {(loss.GraceValues == GraceValues.Last ? "the last values" : "centred sticks and low throttle")}. Propellers off on the bench."
            ),
            BoardSignal.Landing => new(
                BoardStanding.NoSignal,
                "Landing",
                $"It comes down by itself and stops the motors after {loss.LandingTime}. {back}"
            ),
            BoardSignal.Returning => new(
                BoardStanding.NoSignal,
                "Flying home",
                $"The board flies by itself, motors at thrust. {back}"
            ),
            BoardSignal.Good or BoardSignal.None => throw new ArgumentOutOfRangeException(nameof(state)),
        };
    }

    private static string Motors(SignalPlan plan, BoardState state, BoardReading reading)
    {
        if (!state.ArmRequested)
            return "The switch is off, but this board disarms only with the throttle low.";
        if (state.ForSelfRight)
            return "Armed to turn over: motors may turn when a stick is deflected, and follow the throttle only after it was low.";
        return state.Motors switch
        {
            MotorLevel.Off => $"Motors are held off: {Label(plan, FunctionKind.ThrottleCut)} is on.",
            MotorLevel.Thrust =>
                $"Motors may turn: throttle {Figures.Plain(CraftResponse.Throttle(reading.Throttle).Value, 0)} %.",
            MotorLevel.IdleWithControl => "Motors may idle, and the controller works on them.",
            MotorLevel.Idle => "Motors may idle.",
        };
    }

    private static string Label(SignalPlan plan, FunctionKind kind) =>
        plan.Setup.Board.Functions.Values.First(f => f.Kind == kind).Label;

    /// <summary>The reason of a refusal in words: what was wrong when the switch went on, and what is wrong still.</summary>
    public static string Refusal(SignalPlan plan, ArmRefusal refusal, BoardReading reading) =>
        refusal switch
        {
            ArmRefusal.None => "",
            ArmRefusal.NoSignal => "No good frames arrive.",
            ArmRefusal.SwitchOnAtPowerUp =>
                $"{ArmControl(plan)} was already on when the board got power. Put it off, then on.",
            ArmRefusal.SwitchOnAtSignalReturn =>
                $"{ArmControl(plan)} was already on when the signal returned. Put it off, then on.",
            ArmRefusal.StoppedByItself =>
                $"The board stopped the motors by itself while {ArmControl(plan)} was on. Put it off, then on.",
            _ when refusal == reading.Blocked => Guard(plan, refusal, reading),
            ArmRefusal.ThrottleNotLow =>
                $"Throttle was not low when {ArmControl(plan)} went on. It is low now: put the switch off, then on.",
            ArmRefusal.ConsentMissing
            or ArmRefusal.ConflictingFunction
            or ArmRefusal.LossProcedureOn
            or ArmRefusal.Calibrating
            or ArmRefusal.Tilted
            or ArmRefusal.Connected => $"{Was(refusal)} when {ArmControl(plan)} went on. Put the switch off, then on.",
            _ => throw new ArgumentOutOfRangeException(nameof(refusal)),
        };

    private static string Was(ArmRefusal refusal) =>
        refusal switch
        {
            ArmRefusal.ConsentMissing => "Arming consent was not given",
            ArmRefusal.ConflictingFunction => "Automatic trim or tuning was on",
            ArmRefusal.LossProcedureOn => "The loss procedure on purpose was on",
            ArmRefusal.Calibrating => "The board was still calibrating",
            ArmRefusal.Tilted => "The craft was tilted too far",
            ArmRefusal.Connected => "The board was connected for configuration",
            ArmRefusal.None
            or ArmRefusal.NoSignal
            or ArmRefusal.SwitchOnAtPowerUp
            or ArmRefusal.SwitchOnAtSignalReturn
            or ArmRefusal.StoppedByItself
            or ArmRefusal.ThrottleNotLow => throw new ArgumentOutOfRangeException(nameof(refusal)),
        };

    // A guard that is not satisfied now.
    private static string Guard(SignalPlan plan, ArmRefusal guard, BoardReading reading) =>
        guard switch
        {
            ArmRefusal.ThrottleNotLow => ThrottleHigh(plan, reading),
            ArmRefusal.ConsentMissing => Consent(plan),
            ArmRefusal.ConflictingFunction => "Automatic trim or tuning is on.",
            ArmRefusal.LossProcedureOn => "The loss procedure on purpose is on.",
            ArmRefusal.Calibrating => "The board is calibrating its sensors: keep the craft still.",
            ArmRefusal.Tilted => $"The craft is tilted by more than {plan.Setup.Board.Guards.TiltLimit}.",
            ArmRefusal.Connected =>
                "The board is connected for configuration. Unlock that, propellers off, or test on battery alone.",
            ArmRefusal.None
            or ArmRefusal.NoSignal
            or ArmRefusal.SwitchOnAtPowerUp
            or ArmRefusal.SwitchOnAtSignalReturn
            or ArmRefusal.StoppedByItself => throw new ArgumentOutOfRangeException(nameof(guard)),
        };

    private static string Consent(SignalPlan plan)
    {
        var names =
            from function in plan.Setup.Board.Functions.Values
            where function.Kind == FunctionKind.ArmConsent
            where plan.Setup.Transmitter.Controls.ContainsKey(function.Control)
            select plan.Setup.Transmitter.Controls[function.Control].Name;
        var named = string.Join(" or ", names.Distinct(StringComparer.Ordinal).Order(StringComparer.Ordinal));
        var who = named.Length > 0 ? $": {named} gives it" : "";
        return $"Arming consent is not given{who}.";
    }

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
        if (reading.Blocked != ArmRefusal.None)
            return new(BoardStanding.NotReady, "Will not arm", Guard(plan, reading.Blocked, reading));
        var ready = SomePositionArms(plan, arm)
            ? $"Ready: {ArmControl(plan)} arms."
            : $"Ready, but with all else at rest no position of {ArmControl(plan)} arms.";
        return new(BoardStanding.Ready, "Disarmed", $"{ready} Propellers off?");
    }

    // A control without a say is told by what its channel takes, of which nothing is said here.
    private static bool SomePositionArms(SignalPlan plan, BoardFunction arm) =>
        plan.ChannelAt(arm.Channel)?.DependsOn(arm.Control) != true
        || plan.Uses.First(u => u.Control == arm.Control)
            .Positions.SelectMany(p => p.Values)
            .Any(v => v.Channel == arm.Channel && arm.Contains(v.Received));

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
