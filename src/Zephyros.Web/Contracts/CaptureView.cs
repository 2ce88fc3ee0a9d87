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
/// <param name="Losses">Where something was lost, in the order of time.</param>
/// <param name="Lines">All wires of the file that were looked at, this one among them; the most telling first.</param>
/// <param name="NotLookedAt">The names of further wires in the file.</param>
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
    IReadOnlyList<LossStretch> Losses,
    IReadOnlyList<CaptureLineView> Lines,
    IReadOnlyList<string> NotLookedAt,
    IReadOnlyList<CapturedChannel> Channels
)
{
    /// <summary>Puts what a wire speaks beside a setup.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="id">The wire.</param>
    /// <param name="lines">All wires of the recording.</param>
    /// <param name="notLookedAt">The names of further wires in the file.</param>
    public static CaptureView Of(
        Setup setup,
        string id,
        IReadOnlyList<(string Id, CapturedLine Line)> lines,
        IReadOnlyList<string> notLookedAt
    )
    {
        var (capture, verdict) = lines.First(l => l.Id == id).Line;
        var wire = new RecordedWire(setup, verdict);
        return new CaptureView(
            id,
            verdict.Title,
            wire.Fits,
            [.. wire.Losses, .. verdict.Notes, .. wire.Differences],
            verdict.Format,
            wire.Edit,
            capture is not null && verdict.Frames.Count > 0,
            (capture?.End ?? 0) / 1e9,
            verdict.Interval,
            verdict.Frames.Count,
            verdict.DamagedFrames,
            verdict.Loss.Stretches,
            [.. lines.Select(l => new CaptureLineView(l.Id, l.Line.Capture?.Name ?? "", l.Line.Verdict.Title))],
            notLookedAt,
            [.. verdict.Channels.Select(c => CapturedChannel.Of(setup, c))]
        );
    }
}
