using Zephyros.Core.Captures;
using Zephyros.Core.Measure.Routines;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Web.Contracts;

/// <summary>What a recording of the signal wire was recognised as, beside what the setup says.</summary>
/// <param name="Id">Under which its frames can be asked for; for a while.</param>
/// <param name="Title">What the line speaks.</param>
/// <param name="Fits">True when it speaks what the setup says, the right way round.</param>
/// <param name="Notes">What was measured and what does not fit.</param>
/// <param name="Format">The format; null when none fits.</param>
/// <param name="Fix">What makes the setup say what the wire speaks; null when it does, or nothing was recognised.</param>
/// <param name="HasLevels">True when the line can be drawn.</param>
/// <param name="Seconds">How long the recording is; 0 for bare bytes.</param>
/// <param name="Interval">The usual time from frame to frame.</param>
/// <param name="Frames">How many good frames there are.</param>
/// <param name="DamagedFrames">How many were damaged.</param>
/// <param name="OtherLines">The names of the other wires in the file.</param>
/// <param name="Channels">What each channel did.</param>
public sealed record CaptureView(
    string Id,
    string Title,
    bool Fits,
    IReadOnlyList<string> Notes,
    WireFormat? Format,
    SetupEdit? Fix,
    bool HasLevels,
    double Seconds,
    Milliseconds? Interval,
    int Frames,
    long DamagedFrames,
    IReadOnlyList<string> OtherLines,
    IReadOnlyList<CapturedChannel> Channels
)
{
    /// <summary>Puts a verdict beside a setup.</summary>
    public static CaptureView Of(
        string id,
        Setup setup,
        LineCapture? capture,
        CaptureVerdict verdict,
        IReadOnlyList<string> otherLines
    )
    {
        var wire = new RecordedWire(setup, verdict);
        return new CaptureView(
            id,
            verdict.Title,
            wire.Fits,
            [.. verdict.Notes, .. wire.Differences],
            verdict.Format,
            wire.Edit,
            capture is not null && verdict.Frames.Count > 0,
            (capture?.End ?? 0) / 1e9,
            verdict.Interval,
            verdict.Frames.Count,
            verdict.DamagedFrames,
            otherLines,
            [.. verdict.Channels.Select(c => CapturedChannel.Of(setup, c))]
        );
    }
}
