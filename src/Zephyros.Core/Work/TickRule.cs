using Zephyros.Core.Evidence;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work;

/// <summary>A step that is done when each of several things is ticked, and no tick is stale.</summary>
public abstract class TickRule : WorkRule
{
    [Figure(Station.Board, "A time that is taken by hand and eye may be late by", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds HandAndEye = new(500);

    /// <inheritdoc />
    public override WorkPlace Place => WorkPlace.Here;

    /// <summary>What is to be ticked; nothing when this craft does not need the step.</summary>
    public abstract IReadOnlyList<Deed> Deeds(SignalPlan plan);

    /// <summary>Why a craft does not need it.</summary>
    protected abstract string NotNeeded { get; }

    /// <summary>What a change of the words is called, such as "where it must stand".</summary>
    protected abstract string WordsAre { get; }

    /// <summary>True when a time that was taken by hand and eye is not later than it may be.</summary>
    /// <param name="deed">What was done.</param>
    /// <param name="after">How long it took; null where nobody took the time.</param>
    public static bool InTime(Deed deed, Milliseconds? after) =>
        after is not { } took || deed.Within is not { } within || took <= within + HandAndEye;

    /// <summary>What a tick of a thing depends on: what was asked, and what lies behind it.</summary>
    public IReadOnlyList<BasisPart> BasisOf(Deed deed) =>
        [EvidenceBasis.OfWords(WordsAre, $"{deed.Do}\n{deed.Expected}"), .. deed.Basis];

    /// <inheritdoc />
    protected override IReadOnlyList<WorkItem> Items(WorkFacts facts) =>
        [.. Deeds(facts.Plan).Select(deed => Item(facts, deed))];

    private WorkItem Item(WorkFacts facts, Deed deed)
    {
        var newest = facts.Ticks.FirstOrDefault(t => t.Record.Step == Id && t.Record.Item == deed.Id);
        if (newest is null)
            return new WorkItem(deed.Id, deed.Do, deed.Expected, WorkState.ToDo, [], "", null, deed.Within)
            {
                Optional = deed.Optional,
            };
        var changed = EvidenceBasis.Differ(newest.Basis, BasisOf(deed));
        var state =
            changed.Count > 0 ? WorkState.Stale
            : newest.Record.AsExpected ? WorkState.Done
            : WorkState.Failed;
        return new WorkItem(
            deed.Id,
            deed.Do,
            deed.Expected,
            state,
            changed,
            newest.Record.Seen,
            newest.TakenAt,
            deed.Within,
            newest.Record.After,
            deed.Optional
        );
    }

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        if (items.Count == 0)
            return (WorkState.NotNeeded, NotNeeded);
        // What is over and above is told by its own line, and holds up nothing, unless it came out wrong.
        items = [.. items.Where(i => !i.Optional || i.State is WorkState.Done or WorkState.Failed)];
        WorkItem[] In(WorkState state) => [.. items.Where(i => i.State == state)];
        var done = In(WorkState.Done).Length;
        if (In(WorkState.Failed) is { Length: > 0 } failed)
            return (WorkState.Failed, $"{failed.Length} of {items.Count} did not come out as they should.");
        if (In(WorkState.Stale) is { Length: > 0 } stale)
            return (WorkState.Stale, $"Another since: {Listed(stale.SelectMany(i => i.Changed))}.");
        return done < items.Count
            ? (WorkState.ToDo, done == 0 ? $"{items.Count} to tick." : $"{done} of {items.Count} ticked.")
            : (WorkState.Done, items.Count == 1 ? "Ticked." : $"All {items.Count} ticked.");
    }
}
