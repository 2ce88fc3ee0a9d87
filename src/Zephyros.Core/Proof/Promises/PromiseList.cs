namespace Zephyros.Core.Proof.Promises;

/// <summary>All promises, in their order; found by being there.</summary>
public static class PromiseList
{
    /// <summary>The promises.</summary>
    public static IReadOnlyList<Promise> All { get; } =
    [
        .. typeof(Promise)
            .Assembly.GetTypes()
            .Where(t => !t.IsAbstract && t.IsSubclassOf(typeof(Promise)))
            .Select(t => (Promise)Activator.CreateInstance(t)!)
            .OrderBy(p => p.Order),
    ];
}
