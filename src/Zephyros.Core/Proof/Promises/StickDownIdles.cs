using Zephyros.Core.Board;
using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>The throttle stick at its low end brings idle.</summary>
public sealed class StickDownIdles : Promise
{
    /// <inheritdoc />
    public override string Code => "stick-down-idles";

    /// <inheritdoc />
    public override int Order => 17;

    /// <inheritdoc />
    public override string Name => "The throttle stick at its low end brings idle";

    /// <inheritdoc />
    public override string Title =>
        "While frames arrive, the throttle stick at its low end leaves the motors at no more than idle, by the stick alone and from every armed state; a craft that flies or turns itself over by itself is exempt.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Own("the pilot’s hand decides, after common practice");

    /// <inheritdoc />
    public override string NothingToCheck => "The transmitter has no throttle stick.";

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is { } stick
            ? [StopControls.Check(plan, stick, -100, MotorLevel.IdleWithControl) with { About = "" }]
            : [];
}
