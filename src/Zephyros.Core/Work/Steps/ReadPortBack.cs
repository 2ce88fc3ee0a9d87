using Zephyros.Core.Board;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work.Steps;

/// <summary>The board was looked at: the receiver's function is set on the port that it is soldered to.</summary>
public sealed class ReadPortBack : WorkRule
{
    /// <inheritdoc />
    public override string Id => "port";

    /// <inheritdoc />
    public override int Order => 90;

    /// <inheritdoc />
    public override string Name => "Read the receiver's port back";

    /// <inheritdoc />
    public override string Why => "A port that was set and not saved is the commonest reason for a dead receiver.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.ReadBack;

    /// <inheritdoc />
    public override WorkPlace Place => new(Station.Wire, "ports");

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var board = facts.Setup.Board;
        if (facts.Plan.Wire.Framing is null)
            return (WorkState.NotNeeded, $"{facts.Plan.Wire.Name} goes to an input of its own.");
        if (!board.Ports.TryGetValue(board.ReceiverPort, out var port))
            return (WorkState.ToDo, "No port is written down for the receiver.");
        if (PortChoices.Of(board, facts.Plan.Wire).First(c => c.Port == board.ReceiverPort).Fit == PortFit.Impossible)
            return (WorkState.Failed, $"{port.Label} cannot read {facts.Plan.Wire.Name}.");
        return port.ReceiverSet switch
        {
            null => (WorkState.ToDo, $"Not looked at yet: is the receiver set on {port.Label}?"),
            false => (WorkState.Failed, $"The receiver is not set on {port.Label}."),
            true => (WorkState.Done, $"The receiver is set on {port.Label}."),
        };
    }
}
