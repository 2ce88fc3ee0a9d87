using Zephyros.Core.Captures;
using Zephyros.Core.Captures.Losses;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Work;
using Zephyros.Storage;

namespace Zephyros.Web.Contracts;

/// <summary>What a receiver did in a recording in which the transmitter was switched off, beside what the setup says.</summary>
/// <param name="Revision">The revision of the setup that it was compared with.</param>
/// <param name="Title">What it did; that no loss was found, where none was.</param>
/// <param name="Words">What was measured and what differs, a sentence each.</param>
/// <param name="Fits">True when the setup says the same, as far as it was measured.</param>
/// <param name="Fix">Takes over what was recorded; null when the setup says the same, or no loss was found.</param>
/// <param name="Try">What it is worth as a part of the real test; null where it leaves open what the setup says.</param>
public sealed record RecordedLossView(
    int Revision,
    string Title,
    IReadOnlyList<string> Words,
    bool Fits,
    SetupEdit? Fix,
    RecordedTry? Try
)
{
    /// <summary>Reads the loss in a recorded line.</summary>
    public static RecordedLossView Of(StoredSetup stored, CapturedLine line)
    {
        if (line is not { Capture: { } capture, Verdict.Format: { } format })
            return None(stored, "The recording has no times, or nothing was recognised in it.");
        if (LossReader.Of(line.Verdict, capture.End) is not { } loss)
            return None(
                stored,
                "Keep a stick going round, switch the transmitter off for some seconds and on again, and record all of it."
            );
        var beside = new LossBesidePlan(stored.Setup, format, loss);
        return new(stored.Revision, beside.Title, beside.Words, beside.Fits, beside.Edit, RecordedTry.Of(beside, loss));
    }

    private static RecordedLossView None(StoredSetup stored, string because) =>
        new(stored.Revision, "No loss was found in it", [because], false, null, null);
}
