using Zephyros.Core.Captures.Losses;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Units;
using Zephyros.Core.Work.Steps;

namespace Zephyros.Core.Work;

/// <summary>A recorded loss as the tick of the real test: what <see cref="TryLoss"/> has looked at on the signal wire.</summary>
/// <param name="Step">The id of the step.</param>
/// <param name="Item">The id of the thing in it.</param>
/// <param name="AsExpected">True when the receiver did what the setup says, as near as that was measured.</param>
/// <param name="Seen">What it did, in a sentence.</param>
/// <param name="After">How long after the last fresh values it gave up; null for one that holds.</param>
public sealed record RecordedTry(string Step, string Item, bool AsExpected, string Seen, Milliseconds? After)
{
    /// <summary>What a recording is worth.</summary>
    /// <returns>Null where it leaves open what the setup says: it proves nothing then.</returns>
    public static RecordedTry? Of(LossBesidePlan beside, RecordedLoss loss) =>
        beside.Judges
            ? new(
                TryLoss.Step,
                TryLoss.Wire,
                beside.Fits,
                $"{beside.Title}; measured to {Figures.Plain(loss.Within.Value, 0)} ms on a recording of the wire",
                loss.Delay
            )
            : null;
}
