using Zephyros.Core.Path;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof.Promises;

/// <summary>No timer is reset while armed.</summary>
public sealed class TimersKept : Promise
{
    /// <inheritdoc />
    public override string Code => "timers-kept";

    /// <inheritdoc />
    public override int Order => 22;

    /// <inheritdoc />
    public override string Name => "No timer is reset while armed";

    /// <inheritdoc />
    public override string Title =>
        "While the craft is armed and the transmitter asks for it, no timer begins anew: not by telemetry that is lost or comes back, not by a button. A hand that switches off while the signal is lost asks for it no longer.";

    /// <inheritdoc />
    public override Provenance Principle => Provenance.Practice("reset between flights, never in one");

    /// <inheritdoc />
    public override PromiseVerdict? BySettings(SignalPlan plan) =>
        Checks(plan).Any() ? null : new PromiseVerdict(VerdictKind.Proven, "Nothing resets a timer of this model.");

    /// <inheritdoc />
    public override IEnumerable<PromiseCheck> Checks(SignalPlan plan) =>
        plan
            .Setup.Model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal)
            .Where(t => t.Value.Reset is { Enabled: true })
            .GroupBy(t => t.Value.Reset!.When, t => t.Value.Label, StringComparer.Ordinal)
            .Select(labels => new PromiseCheck(plan.Board.MotorBits, () => new Watcher(plan.Board.ArmBits))
            {
                About = string.Join(", ", labels),
                Cues = [labels.Key],
            });

    // Remembers whether what resets held.
    private sealed class Watcher(ulong arm) : Watch
    {
        private const int Held = 1;

        // Switched on, timers begin anew anyway.
        public override int Start => Held;

        public override int Next(int monitor, in Change change)
        {
            if (change.Radio == RadioState.Off)
                return Held;
            var armed = change.Board.Armed && change.Sent.Has(arm);
            PremiseReached |= armed;
            var begins = change.Cues != 0 && monitor != Held;
            return begins && armed ? Broken : change.Cues;
        }
    }
}
