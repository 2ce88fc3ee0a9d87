using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Every planned function can be switched on, where it is planned and nowhere else.</summary>
public sealed class FunctionsReachable : Promise
{
    /// <inheritdoc />
    public override string Code => "functions-reachable";

    /// <inheritdoc />
    public override int Order => 13;

    /// <inheritdoc />
    public override string Name => "Every function is on where it is planned, and nowhere else";

    /// <inheritdoc />
    public override string Title =>
        "Every function can be switched on; at rest it is on whenever its control stands where it is planned, unless something that the pilot declared has its channel for a while, and while frames arrive it is on nowhere else. Turning over is looked at while the craft lies on its back, the beeper while disarmed.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("as planned");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan)
    {
        foreach (var (index, (_, function)) in plan.Board.Functions.Index())
        {
            var bit = BoardPlan.BitOf(index);
            if (function.Planned.IsEmpty)
            {
                yield return On(plan, function, bit, 0);
                continue;
            }

            var control = plan.Setup.Transmitter.Controls[function.Control];
            var planned = control.NamedPositions.ToLookup(p => function.Planned.Contains((int)p.Setting));
            foreach (var position in planned[true])
            {
                var there = ProofScope.PositionBit(position.Setting);
                var about = $"{function.Label}, {control.Name} at {position.Name}";
                yield return On(plan, function, bit, there) with
                {
                    About = about,
                    Standing = function.Control,
                };
                if (plan.ChannelAt(function.Channel) is not { } channel)
                    continue;
                var names = new DeclaredOverrides(plan, channel.Id).Names;
                yield return PromiseCheck.Never(
                    bit,
                    (_, view) => view.Has(there) && !view.Has(bit | ProofScope.OverriddenBit | ProofScope.UnderWayBit)
                ) with
                {
                    About =
                        names.Count > 0 ? $"{about}, except while {string.Join(" or ", names)} has the channel" : about,
                    Standing = function.Control,
                    AtRestOn = channel.Id,
                };
                // What has the channel for ever has not been let in for a while.
                if (names.Count > 0)
                    yield return new PromiseCheck(bit, () => new GivesBack(there, bit))
                    {
                        About = $"{about}, after {string.Join(" or ", names)} had the channel",
                        Standing = function.Control,
                        AtRestOn = channel.Id,
                        MustBreak = true,
                        LooksAt = Roles.TelemetryGoes,
                    };
            }

            var elsewhere = planned[false].Aggregate(0UL, (bits, p) => bits | ProofScope.PositionBit(p.Setting));
            if (elsewhere != 0)
                yield return PromiseCheck.Never(bit, (_, view) => view.Has(bit) && view.Has(elsewhere)) with
                {
                    About =
                        $"{function.Label}, {control.Name} at {string.Join(" or ", planned[false].Select(p => p.Name))}",
                    Standing = function.Control,
                };
        }
    }

    // The function on, and its control where it is asked for; 0 for anywhere.
    private static PromiseCheck On(SignalPlan plan, BoardFunction function, ulong bit, ulong position) =>
        PromiseCheck.Reach(
            function.Kind == FunctionKind.SelfRight ? plan.Board.MotorBits : bit,
            (board, view) => view.Has(bit) && (position == 0 || view.Has(position)) && Fits(function.Kind, board)
        ) with
        {
            About = function.Label,
        };

    private static bool Fits(FunctionKind kind, BoardState board) =>
        kind == FunctionKind.SelfRight
            ? board is { ForSelfRight: true, Motors: MotorLevel.Thrust }
            : kind != FunctionKind.Beeper || !board.Armed;

    // Remembers that the function was off where it is planned because something else had its channel, and waits until it is on again.
    private sealed class GivesBack(ulong there, ulong bit) : Watch
    {
        private const int Taken = 1;

        public override int Next(int monitor, in Change change)
        {
            // That everything is lost is no way of giving back.
            if (change.Radio != RadioState.Up || !change.Board.Powered || change.By(Roles.TelemetryGoes))
                return 0;
            var stands = change.View.Has(there) && !change.View.Has(ProofScope.UnderWayBit);
            if (stands && change.View.Has(ProofScope.OverriddenBit) && !change.View.Has(bit))
            {
                PremiseReached = true;
                return Taken;
            }

            return monitor == Taken && stands && change.View.Has(bit) ? Broken : monitor;
        }
    }
}
