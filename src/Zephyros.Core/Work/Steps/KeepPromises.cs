using Zephyros.Core.Verdicts;

namespace Zephyros.Core.Work.Steps;

/// <summary>Rules and proof agree that nothing is wrong.</summary>
public sealed class KeepPromises : WorkRule
{
    /// <inheritdoc />
    public override string Id => "promises";

    /// <inheritdoc />
    public override int Order => 115;

    /// <inheritdoc />
    public override string Name => "Keep every promise";

    /// <inheritdoc />
    public override string Why =>
        "What no hand would find by trying, a proof goes through: every order of every movement.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.Computed;

    /// <inheritdoc />
    public override WorkPlace Place => WorkPlace.Proof;

    /// <inheritdoc />
    protected override (WorkState State, string Stands) Look(WorkFacts facts, IReadOnlyList<WorkItem> items)
    {
        var verdict = facts.Verdict;
        var proven = $"{verdict.Proven} of {verdict.Promises} are proven";
        return verdict.Word switch
        {
            VerdictWord.NothingWrong when verdict.Proven == verdict.Promises => (
                WorkState.Done,
                $"All {verdict.Promises} are proven."
            ),
            VerdictWord.NothingWrong => (WorkState.Done, $"{proven}, the rest is kept as it is for a reason."),
            VerdictWord.NothingSoFar => (WorkState.ToDo, $"The proof goes on: {proven} so far."),
            VerdictWord.Unfinished => (WorkState.ToDo, $"The proof is not finished: {proven}."),
            VerdictWord.NotYet => (WorkState.ToDo, $"{verdict.Headline}: {proven}."),
            VerdictWord.Wrong => (
                verdict.Entries[0].Level == VerdictLevel.Danger ? WorkState.Failed : WorkState.ToDo,
                $"{verdict.Headline}: {proven}."
            ),
        };
    }
}
