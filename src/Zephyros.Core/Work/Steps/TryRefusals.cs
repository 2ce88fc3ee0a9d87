using Zephyros.Core.Board;
using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Work.Steps;

/// <summary>Each guard of arming was seen to refuse on the real board.</summary>
public sealed class TryRefusals : TickRule
{
    private const string Refused = "The board refuses and says why; no motor moves.";

    /// <inheritdoc />
    public override string Id => "refusals";

    /// <inheritdoc />
    public override int Order => 110;

    /// <inheritdoc />
    public override string Name => "Try each refusal to arm";

    /// <inheritdoc />
    public override string Why => "A guard that was never seen to refuse may not be there.";

    /// <inheritdoc />
    public override string Caution => "Propellers off, craft held down.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Tried;

    /// <inheritdoc />
    protected override string NotNeeded => "Nothing arms this craft yet.";

    /// <inheritdoc />
    protected override string WordsAre => "what is to be tried";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan)
    {
        if (plan.Setup.Board.Arm?.Value is not { } arm)
            return [];
        var basis = Basis(plan.Setup, arm);
        var controls = plan.Setup.Transmitter.Controls;
        var control = controls.TryGetValue(arm.Control, out var named) ? named.Name : "the arm control";
        return [.. Tries(plan.Setup.Board, control).Select(t => new Deed(t.Id, t.Do, t.Expected, basis))];
    }

    /// <summary>What any try with the arm control depends on: its way and the sticks' to the board, and how the board arms.</summary>
    internal static IReadOnlyList<BasisPart> Basis(Setup setup, BoardFunction arm) =>
        [
            .. EvidenceBasis.OfWay(
                setup,
                setup.Transmitter.Controls.ContainsKey(arm.Control) ? arm.Control : null,
                arm.Channel
            ),
            .. EvidenceBasis.OfParts(
                setup,
                ("/board/guards", "the guards of arming"),
                ("/board/throttleLow", "when the board takes the throttle for low"),
                ("/board/functions", "the board's functions")
            ),
        ];

    private static IEnumerable<(string Id, string Do, string Expected)> Tries(FlightBoard board, string arm)
    {
        var guards = board.Guards;
        var has = board.Functions.Values.Select(f => f.Kind).ToHashSet();
        yield return ("at-power-up", $"Put {arm} on, then connect the battery.", Refused);
        if (guards.RefusesThrottle)
            yield return ("throttle", $"Put the throttle stick to a third, then {arm} on.", Refused);
        if (guards.TiltLimit is { } limit)
            yield return ("tilt", $"Hold the craft tilted by more than {limit}, then put {arm} on.", Refused);
        if (guards.RefusesConnected)
            yield return (
                "connected",
                $"Connect the board for configuration without unlocking it, then put {arm} on.",
                Refused
            );
        if (guards.Calibration is { } calibration)
            yield return ("calibrating", $"Connect the battery and put {arm} on within {calibration.Words}.", Refused);
        if (has.Contains(FunctionKind.ArmConsent))
            yield return ("consent", $"Put {arm} on while no other control consents.", Refused);
        if (has.Contains(FunctionKind.AutomaticTrim) || has.Contains(FunctionKind.AutomaticTune))
            yield return ("automatic", $"Switch automatic trim or tuning on, then put {arm} on.", Refused);
        if (has.Contains(FunctionKind.LossProcedure))
            yield return ("loss-on-purpose", $"Switch the loss procedure on purpose on, then put {arm} on.", Refused);
        yield return (
            "at-return",
            $"Switch the transmitter off, put {arm} on, and switch it on again, past its warning.",
            Refused
        );
        if (guards.RefusalLatches)
            yield return (
                "stands",
                $"After a refusal, put right what it was for and leave {arm} on.",
                "The board still refuses; it arms only after the switch was off."
            );
        yield return (
            "stops",
            $"Arm with the throttle low, then put {arm} off{(guards.DisarmsOnlyWhenLow ? "" : " with the throttle stick at a third")}.",
            guards.DisarmsOnlyWhenLow
                ? "The motors stop, as long as the throttle is low."
                : "The motors stop at once, whatever the throttle does."
        );
    }
}
