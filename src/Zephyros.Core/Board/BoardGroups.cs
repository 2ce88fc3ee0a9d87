using Zephyros.Core.Hands;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Board;

/// <summary>Puts the board's settings into groups and sentences.</summary>
public static class BoardGroups
{
    /// <summary>The id of the group of what things are called.</summary>
    public const string Names = "names";

    /// <summary>The id of the group of what was measured of the channels.</summary>
    public const string Wander = "wander";

    /// <summary>The groups that are no settings of the board, and need not be read back.</summary>
    public static IReadOnlyList<string> OfOurOwn { get; } = [Wander, Names];

    /// <summary>The id of the group of the functions.</summary>
    public const string FunctionGroup = "functions";

    /// <summary>The groups in the order in which they are typed: the receiver first, the functions and the names last.</summary>
    /// <param name="board">The board.</param>
    /// <param name="wire">The format of its receiver.</param>
    public static IReadOnlyList<BoardGroup> Of(FlightBoard board, WireDescriptor wire)
    {
        BoardGroup[] groups =
        [
            new("receiver", "Receiver", [Own($"Reads {wire.Name} on {Port(board)}.")]),
            new("travel", "Sticks", [.. Travel(board)]),
            new("arming", "Arming", [.. Arming(board)]),
            new("loss", "Lost signal", [.. Loss(board)]),
            new(Wander, "Measured", [.. Measured(board)]),
            new(FunctionGroup, "Functions", [.. Functions(board)]),
            new(Names, "Names", [.. Called(board)]),
        ];
        return [.. groups.Where(g => g.Sentences.Count > 0)];
    }

    // What has a value of its own on every board.
    private static BoardSentence Own(string text) => new(text, IsUsual: false);

    private static IEnumerable<BoardSentence> Called(FlightBoard board)
    {
        yield return board.Alias.Length > 0
            ? Own($"You call it “{board.Alias}”.")
            : new("It has no name of its own.", IsUsual: true);
        yield return new(
            board.SpanNumbering switch
            {
                SpanNumbering.Axis => "It names spans by axis.",
                SpanNumbering.Channel => "It names spans by channel, from 1.",
                SpanNumbering.ChannelFromZero => "It names spans by channel, from 0.",
            },
            board.SpanNumbering == SpanNumbering.Axis
        );
    }

    private static string Port(FlightBoard board) =>
        board.Ports.TryGetValue(board.ReceiverPort, out var port) ? port.Label : board.ReceiverPort;

    private static IEnumerable<BoardSentence> Travel(FlightBoard board)
    {
        var axes = Enumerable
            .Range(1, ChannelNumber.StickChannels)
            .Select(n => $"{n} {board.Map.AxisOf(new ChannelNumber(n)).Word()}");
        yield return Own($"Reads channels {string.Join(", ", axes)} ({board.Map}).");
        yield return Own($"Throttle is low below {board.ThrottleLow}.");
        foreach (var (axis, span) in board.Spans.OrderBy(s => s.Key))
            yield return Own($"Scales {axis.Word()} from {span.Low} to {span.High}.");
        yield return new(
            $"Sticks are centred at {board.Centre}, {(board.Deadband.Value > 0 ? $"with a deadband of {board.Deadband} to either side" : "without a deadband")}.",
            board.Centre == Microseconds.Neutral && board.Deadband.Value == 0
        );
        yield return Own(
            $"Full stick turns at {board.MaximumRate}, {(board.Expo.Value > 0 ? $"with {Figures.Plain(board.Expo.Value)} % expo" : "without expo")}."
        );
        if (board.ActivationLimit is { } limit)
            yield return Own($"The controller becomes active above {limit}.");
    }

    private static IEnumerable<BoardSentence> Measured(FlightBoard board) =>
        board
            .Wander.OrderBy(w => w.Key)
            .Select(w =>
                Own($"Channel {w.Key} wanders by {w.Value} to either side; findings and proof leave so much room.")
            );

    private static IEnumerable<BoardSentence> Arming(FlightBoard board)
    {
        var (guards, usual) = (board.Guards, new ArmGuards());
        var consent = board.Functions.Values.Any(f => f.Kind == FunctionKind.ArmConsent);
        string[] refuses =
        [
            .. If(guards.RefusesThrottle, $"while the throttle is not below {board.ThrottleLow}"),
            .. If(guards.TiltLimit is not null, $"tilted by more than {guards.TiltLimit}"),
            .. If(guards.RefusesConnected, "connected for configuration, until that is unlocked"),
            .. If(
                guards.Calibration is not null,
                $"for {guards.Calibration?.Words} after power-up, while it calibrates"
            ),
            .. If(consent, "without the consent of a second control"),
        ];
        yield return new(
            refuses.Length > 0
                ? $"Refuses to arm: {string.Join("; ", refuses)}."
                : "Refuses to arm for nothing but a missing signal and a switch that was on before.",
            !consent
                && guards
                    == usual with
                    {
                        RefusalLatches = guards.RefusalLatches,
                        DisarmsOnlyWhenLow = guards.DisarmsOnlyWhenLow,
                        DisarmsAfter = guards.DisarmsAfter,
                    }
        );
        yield return new(
            guards.RefusalLatches
                ? "A refusal stands until the arm switch was off."
                : "Arms as soon as nothing holds it back, the switch still on.",
            guards.RefusalLatches == usual.RefusalLatches
        );
        yield return new(
            guards.DisarmsOnlyWhenLow
                ? "The arm switch disarms only while the throttle is low."
                : "The arm switch disarms at once.",
            guards.DisarmsOnlyWhenLow == usual.DisarmsOnlyWhenLow
        );
        if (guards.DisarmsAfter is { } after)
            yield return Own($"Disarms by itself after {after.Words} with the throttle low.");
    }

    private static IEnumerable<BoardSentence> Loss(FlightBoard board)
    {
        var (loss, usual) = (board.Loss, new LossSettings());
        yield return Own($"Calls the signal lost after {board.SignalTimeout.Words} without a good frame.");
        if (loss.Grace.Value > 0)
            yield return Own(
                $"Waits {loss.Grace.Words} more on {(loss.GraceValues == GraceValues.Last ? "the last values" : "centred sticks and a low throttle")}."
            );
        yield return new($"Then it {Procedure(loss)}.", loss.Procedure == usual.Procedure);
        if (loss.LowBefore is { } low)
            yield return Own($"Where the throttle was low for {low.Words} before, the motors just stop.");
        if (loss.Beeper != LossBeeper.None)
            yield return Own(
                loss.Beeper == LossBeeper.SinceLoss
                    ? "From the loss until frames are back the craft beeps."
                    : "The craft beeps once its motors have stopped on a loss."
            );
        if (loss.Procedure == LossProcedure.Stop)
            yield break;
        if (loss.Procedure == LossProcedure.ReturnHome)
            yield return Own(
                $"Home it climbs to {loss.Return.Height} at {loss.Return.Climb} and flies at {loss.Return.Speed} through the air; nearer than {loss.Return.NotWithin} it lands where it is."
            );
        if (loss.FlownOnly)
            yield return Own("A craft that has not flown since it was armed just stops its motors.");
        yield return new(
            loss.Recovery == FlightRecovery.AtOnce
                ? "The pilot has it back with the first good frame."
                : "The pilot has it back when a stick is moved after frames are back.",
            loss.Recovery == usual.Recovery
        );
    }

    /// <summary>What a board does once it knows that the signal is lost, as it follows "it".</summary>
    public static string Procedure(LossSettings loss) =>
        loss.Procedure switch
        {
            LossProcedure.Stop => "stops the motors",
            LossProcedure.Land => $"lands for {loss.LandingTime.Words} and stops the motors",
            LossProcedure.ReturnHome =>
                $"flies home; without a position fix it lands for {loss.LandingTime.Words} and stops the motors",
        };

    private static IEnumerable<BoardSentence> Functions(FlightBoard board) =>
        board
            .Functions.OrderBy(f => f.Value.Kind)
            .ThenBy(f => f.Key, StringComparer.Ordinal)
            .Select(f => Own($"{f.Value.Label}: AUX {f.Value.Aux}, {f.Value.Low} to {f.Value.High}."));

    private static string[] If(bool so, string words) => so ? [words] : [];
}
