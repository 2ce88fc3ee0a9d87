namespace Zephyros.Core.Work;

/// <summary>A step of the work. One step is one class in one file; it is found by being there.</summary>
public abstract class WorkRule
{
    /// <summary>Its id, such as "power-on".</summary>
    public abstract string Id { get; }

    /// <summary>Its place in the order in which practitioners work.</summary>
    public abstract int Order { get; }

    /// <summary>What to do, in a few words.</summary>
    public abstract string Name { get; }

    /// <summary>Why, in a sentence.</summary>
    public abstract string Why { get; }

    /// <summary>What to mind while doing it; empty when nothing beyond the usual.</summary>
    public virtual string Caution => "";

    /// <summary>How it is shown to be done.</summary>
    public abstract ShownBy ShownBy { get; }

    /// <summary>Where it is done.</summary>
    public abstract WorkPlace Place { get; }

    /// <summary>How it stands.</summary>
    public WorkStep Of(WorkFacts facts)
    {
        var items = Items(facts);
        var (state, stands) = Look(facts, items);
        return new WorkStep(Id, Name, Why, Caution, ShownBy, Place, state, stands, items);
    }

    /// <summary>What is ticked by hand; empty for steps that are shown otherwise.</summary>
    protected virtual IReadOnlyList<WorkItem> Items(WorkFacts facts) => [];

    /// <summary>How it stands, and why in a sentence.</summary>
    protected abstract (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items);

    /// <summary>Names in a row: "a, b and c".</summary>
    protected static string Listed(IEnumerable<string> names) =>
        names.Distinct(StringComparer.Ordinal).ToArray() switch
        {
            [] => "",
            [var only] => only,
            [.. var first, var last] => $"{string.Join(", ", first)} and {last}",
        };
}
