namespace Zephyros.Core.Work;

/// <summary>What remains to be done on a craft: all steps in the order in which practitioners work.</summary>
/// <param name="Steps">The steps.</param>
/// <param name="Done">How many are done.</param>
/// <param name="Needed">How many this craft needs.</param>
/// <param name="Next">The id of the first step that is open; null when none is.</param>
public sealed record WorkList(IReadOnlyList<WorkStep> Steps, int Done, int Needed, string? Next)
{
    /// <summary>The steps, in their order; found by being there.</summary>
    public static IReadOnlyList<WorkRule> Rules { get; } =
    [
        .. typeof(WorkRule)
            .Assembly.GetTypes()
            .Where(t => !t.IsAbstract && t.IsSubclassOf(typeof(WorkRule)))
            .Select(t => (WorkRule)Activator.CreateInstance(t)!)
            .OrderBy(r => r.Order),
    ];

    /// <summary>How all steps stand.</summary>
    public static WorkList Of(WorkFacts facts)
    {
        WorkStep[] steps = [.. Rules.Select(r => r.Of(facts))];
        return new WorkList(
            steps,
            steps.Count(s => s.State == WorkState.Done),
            steps.Count(s => s.State != WorkState.NotNeeded),
            Array.Find(steps, s => s.IsOpen)?.Id
        );
    }
}
