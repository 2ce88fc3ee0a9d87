using Zephyros.Core.Captures;
using Zephyros.Core.Path;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a recording of the signal wire tells of the sticks and switches, when they were moved in the order of the guided
/// routines while it ran.</summary>
/// <param name="Problem">Why not everything could be told, in a sentence; empty when the sticks are all measured.</param>
/// <param name="Readings">What a board shows of it.</param>
public sealed record RecordedMeasurement(string Problem, BoardReadings Readings)
{
    /// <summary>Lets the routines look at the frames of a recording instead of at the bench.</summary>
    /// <param name="plan">The setup whose wire was recorded.</param>
    /// <param name="verdict">What the recording was recognised as.</param>
    public static RecordedMeasurement Of(SignalPlan plan, CaptureVerdict verdict)
    {
        if (verdict.Format is not { } format || verdict.Interval is null)
            return Failed("A measurement needs a recording with times, in which frames were recognised.");
        var wire = format.Describe();
        // What a frame repeats, or shows for a loss, is no answer of the sticks.
        var frames = verdict
            .Frames.Where(f => f.Kind == FrameKind.Channels && f.Says is null)
            .Skip(wire.FramesForAll - 1)
            .Select(f => (At: TimeSpan.FromTicks(f.At / 100), Shows: Shown(plan, wire, f)))
            .ToArray();
        if (frames.Length == 0 || frames[0].Shows.Channels.Count < ChannelNumber.StickChannels)
            return Failed("The recording carries fewer than the four stick channels.");
        var sticks = new StickRoutine(frames[0].Shows, frames[0].At);
        var next = Follow(sticks, frames);
        var done = sticks.State;
        if (!done.Done)
            return new(
                $"The recording ends while the routine waits for: {done.Prompt} {done.Problem}".TrimEnd(),
                done.Readings
            );
        if (next == frames.Length)
            return new("", done.Readings);
        var switches = new SwitchRoutine(plan, frames[next].Shows, frames[next].At);
        Follow(switches, frames[next..]);
        return new("", done.Readings with { Positions = switches.State.Readings.Positions });
    }

    // How many frames were looked at until the routine was done.
    private static int Follow(IRoutine routine, (TimeSpan At, BoardShows Shows)[] frames)
    {
        var looked = 0;
        while (looked < frames.Length && !routine.State.Done)
        {
            routine.Look(frames[looked].Shows, frames[looked].At);
            looked++;
        }

        return looked;
    }

    private static BoardShows Shown(SignalPlan plan, WireDescriptor wire, FoundFrame frame) =>
        BoardShows.Of(plan.Setup.Board, [.. frame.Counts.Select(wire.ToMicroseconds)]);

    private static RecordedMeasurement Failed(string problem) => new(problem, BoardReadings.None);
}
