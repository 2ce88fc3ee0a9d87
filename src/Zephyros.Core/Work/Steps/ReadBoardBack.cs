using Zephyros.Core.Board;
using Zephyros.Core.Path;

namespace Zephyros.Core.Work.Steps;

/// <summary>Every page of the board's settings was looked at after it was saved and restarted.</summary>
public sealed class ReadBoardBack : TickRule
{
    /// <inheritdoc />
    public override string Id => "board";

    /// <inheritdoc />
    public override int Order => 100;

    /// <inheritdoc />
    public override string Name => "Read the board's settings back";

    /// <inheritdoc />
    public override string Why => "What is proven here holds for the real board only if it has these very settings.";

    /// <inheritdoc />
    public override string Caution => "Propellers off. Save, restart the board, and look again.";

    /// <inheritdoc />
    public override ShownBy ShownBy => ShownBy.ReadBack;

    /// <inheritdoc />
    protected override string NotNeeded => "";

    /// <inheritdoc />
    protected override string WordsAre => "what the board must say";

    /// <inheritdoc />
    public override IReadOnlyList<Deed> Deeds(SignalPlan plan) =>
        [
            .. BoardGroups
                .Of(plan.Setup.Board, plan.Wire)
                .Where(g => !BoardGroups.OfOurOwn.Contains(g.Id, StringComparer.Ordinal))
                .Select(g => new Deed(g.Id, g.Name, string.Join(' ', g.Sentences.Select(s => s.Text)), [])),
        ];
}
