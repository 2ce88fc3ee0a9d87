namespace Zephyros.Core.Model.Running;

/// <summary>A channel inside a <see cref="ModelPlan"/>: where its values lie among the slots, and what it depends on.</summary>
/// <param name="Id">The channel's id.</param>
/// <param name="Channel">The channel as the setup has it.</param>
/// <param name="FirstSlot">The slot of the value taken; the steps follow.</param>
/// <param name="Behind">Everything that what it sends depends on.</param>
public sealed record PlannedChannel(string Id, Channel Channel, int FirstSlot, IReadOnlySet<ModelNode> Behind)
{
    /// <summary>How many slots the channel has: source, steps, output stage, and what is sent after overrides.</summary>
    public int SlotCount => Channel.Steps.Count + 3;

    /// <summary>The slot of the value that leaves the output stage.</summary>
    public int OutputSlot => FirstSlot + SlotCount - 2;

    /// <summary>The slot of the value that is sent: the same, unless an override holds.</summary>
    public int LastSlot => FirstSlot + SlotCount - 1;

    /// <summary>The id of the control that the chain takes first, or null when it takes something else.</summary>
    public string? SourceControl => (Channel.Take as ControlSource)?.Control;

    /// <summary>True when a control can change what the channel sends.</summary>
    public bool DependsOn(string controlId) => Behind.Contains(new ModelNode(NodeKind.Control, controlId));
}
