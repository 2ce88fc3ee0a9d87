namespace Zephyros.Core.Model;

/// <summary>A channel inside a <see cref="ModelPlan"/>: where its values lie among the slots.</summary>
/// <param name="Id">The channel's id.</param>
/// <param name="Channel">The channel as the setup has it.</param>
/// <param name="SourceControl">The id of the control that it takes.</param>
/// <param name="FirstSlot">The slot of the value taken; the steps follow.</param>
/// <param name="SlotCount">How many slots the channel has: source, steps and output stage.</param>
public sealed record PlannedChannel(string Id, Channel Channel, string SourceControl, int FirstSlot, int SlotCount)
{
    /// <summary>The slot of the value that leaves the output stage.</summary>
    public int LastSlot => FirstSlot + SlotCount - 1;
}
