using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Only declared stop controls stop the motors.</summary>
public sealed class NoAccidentalStop : Promise
{
    /// <inheritdoc />
    public override string Code => "no-accidental-stop";

    /// <inheritdoc />
    public override int Order => 7;

    /// <inheritdoc />
    public override string Name => "Only declared stop controls stop the motors";

    /// <inheritdoc />
    public override string Title =>
        "In thrust only a movement that was proven to stop the motors from every armed state stops them: no other switch, no telemetry value and no timer does.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("availability in flight, after common practice");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher()) { LooksAt = Roles.Stops }];

    private sealed class Watcher : Watch
    {
        public override Roles Excuses => Roles.Stops;

        public override int Next(int monitor, in Change change)
        {
            if (change.Before.Board.Motors != MotorLevel.Thrust || change.Before.Board.Signal != BoardSignal.Good)
                return 0;
            PremiseReached = true;
            if (change.Radio != RadioState.Up || !change.Board.Powered || change.Board.Motors != MotorLevel.Off)
                return 0;
            // A transmitter that was switched off has given the craft away.
            return change.Kind == MoveKind.TransmitterOn || change.By(Roles.Stops) ? 0 : Broken;
        }
    }
}
