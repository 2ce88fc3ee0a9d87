using Zephyros.Core.Board;
using Zephyros.Core.Path;

namespace Zephyros.Core.Proof.Promises;

/// <summary>Arming and thrust are reachable.</summary>
public sealed class CanFly : Promise
{
    /// <inheritdoc />
    public override string Code => "can-fly";

    /// <inheritdoc />
    public override int Order => 12;

    /// <inheritdoc />
    public override string Name => "Arming and thrust are reachable";

    /// <inheritdoc />
    public override string Title =>
        "It can fly: arming and thrust are reachable by hand, and the throttle never falls while its stick rises.";

    /// <inheritdoc />
    public override string Principle => "A promise about nothing is worth nothing: our own";

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan) => ThrottleCourse.FirstFall(plan);

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        [new(plan.Board.MotorBits, () => new Watcher()) { MustReach = true }];

    private sealed class Watcher : Watch
    {
        public override int Next(int monitor, in Change change)
        {
            PremiseReached |=
                change is { Board: { Motors: MotorLevel.Thrust, Signal: BoardSignal.Good, ForSelfRight: false } };
            return 0;
        }
    }
}
