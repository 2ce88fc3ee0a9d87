using Zephyros.Core.Board;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>One movement stops the motors at once.</summary>
public sealed class StopWorks : Promise
{
    /// <inheritdoc />
    public override string Code => "stop-works";

    /// <inheritdoc />
    public override int Order => 6;

    /// <inheritdoc />
    public override string Name => "One movement stops the motors at once";

    /// <inheritdoc />
    public override string Title =>
        "While frames arrive, one and the same movement stops the motors at once, from every armed state.";

    /// <inheritdoc />
    public override Provenance Principle =>
        Provenance.Published(
            "ISO 13850",
            "edition from memory",
            "a stop control works at all times and overrides all else"
        );

    /// <inheritdoc />
    public override bool OneIsEnough => true;

    /// <inheritdoc />
    public override string NothingToCheck =>
        "No control is meant to stop the motors: nothing arms, or it arms wherever its control stands.";

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        StopControls.Meant(plan).Select(m => StopControls.Check(plan, m.Control, m.Setting, MotorLevel.Off));
}
