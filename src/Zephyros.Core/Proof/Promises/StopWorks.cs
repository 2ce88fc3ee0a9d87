using Zephyros.Core.Board;
using Zephyros.Core.Path;

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
    public override string Principle =>
        "A stop control works at all times and overrides all else (ISO 13850, edition from memory)";

    /// <inheritdoc />
    public override bool OneIsEnough => true;

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        from function in plan.Setup.Board.Functions.OrderBy(f => f.Key, StringComparer.Ordinal)
        where function.Value.Kind is FunctionKind.Arm or FunctionKind.ThrottleCut
        where plan.Model.IndexOf(function.Value.Control) >= 0
        let control = plan.Setup.Transmitter.Controls[function.Value.Control]
        from position in control.NamedPositions
        select new PromiseCheck(plan.Board.MotorBits, () => new Watcher())
        {
            About = $"{control.Name} to {position.Name}",
            LooksAt = Roles.Named | Roles.NamedAway,
            Named = (function.Value.Control, position.Setting),
        };

    private sealed class Watcher : Watch
    {
        private const int Elsewhere = 1;
        private const int There = 2;

        public override int Next(int monitor, in Change change)
        {
            var stands =
                change.By(Roles.Named) ? There
                : change.By(Roles.NamedAway) ? Elsewhere
                : monitor;
            if (change.Board.Motors == MotorLevel.Off || change.Radio != RadioState.Up)
                return stands;
            PremiseReached = true;
            // Motors that turn while the control stands there already could not be stopped by putting it there.
            return stands == There ? Broken : stands;
        }
    }
}
