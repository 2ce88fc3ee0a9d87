namespace Zephyros.Core.Model.Running;

/// <summary>Where one part of a model stands in the program.</summary>
/// <param name="Node">The part.</param>
/// <param name="First">Its first operation.</param>
/// <param name="Count">How many there are.</param>
internal readonly record struct PlanSection(ModelNode Node, int First, int Count);
