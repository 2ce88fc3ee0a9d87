using Zephyros.Core.Findings;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>Radio module, receiver and system are written down, and fit each other.</summary>
public sealed class ChooseLink : WorkRule
{
    /// <inheritdoc />
    public override string Id => "link";

    /// <inheritdoc />
    public override int Order => 40;

    /// <inheritdoc />
    public override string Name => "Choose the radio link";

    /// <inheritdoc />
    public override string Why => "How many channels arrive, in which steps and how often, depends on the system.";

    /// <inheritdoc />
    public override string Caution => "Local law decides on power and band.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Computed;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Air);

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var air = facts.Setup.Air;
        var receiver = air.Receiver.Label.Length > 0 ? air.Receiver.Label : air.Receiver.Family;
        var module = air.Modules.Values.Where(m => m.On).Select(m => m.Label).FirstOrDefault();
        if (receiver.Length == 0 || module is null)
            return (
                WorkState.ToDo,
                (module, receiver) switch
                {
                    (null, "") => "Neither a radio module that is on nor the receiver is written down.",
                    (null, _) => "No radio module that is on is written down.",
                    _ => "The receiver is not written down.",
                }
            );
        var wrong = facts.Findings.FirstOrDefault(f =>
            f is { Station: Station.Air, Severity: Severity.Danger, Justification: null }
        );
        return wrong is null
            ? (WorkState.Done, $"{module} to {receiver}, {air.Channels} channels at {air.PacketRate}.")
            : (WorkState.Failed, $"{wrong.Title}.");
    }
}
