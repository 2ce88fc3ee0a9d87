using Zephyros.Core.Path;
using Zephyros.Core.Path.PowerOn;

namespace Zephyros.Core.Work.Steps;

/// <summary>The positions that the transmitter must warn about at switch-on are stored in it.</summary>
public sealed class StorePowerOnCheck : TickRule
{
    /// <inheritdoc />
    public override string Id => "power-on";

    /// <inheritdoc />
    public override int Order => 30;

    /// <inheritdoc />
    public override string Name => "Store the power-on check";

    /// <inheritdoc />
    public override string Why =>
        "A transmitter that starts with the arm switch on or the throttle up must not start quietly.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Stored;

    /// <inheritdoc />
    protected override string NotNeeded => "No control of this craft arms or moves the throttle.";

    /// <inheritdoc />
    protected override string WordsAre => "where a control must stand";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan) =>
        [
            .. PowerOnCheck
                .Of(plan)
                .Where(i => i.Warns)
                .Select(i => new Deed(
                    i.Control,
                    $"{i.Name} {i.Wanted}: store that the transmitter warns unless it stands there. {i.Reason}",
                    "Switched on with it elsewhere, the transmitter warns and waits.",
                    []
                )),
        ];
}
