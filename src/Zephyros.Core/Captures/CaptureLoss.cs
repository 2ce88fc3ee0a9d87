using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>What was lost in a recording: what its frames say themselves, and frames that did not come.</summary>
/// <param name="FramesLost">How many frames say that they repeat older values.</param>
/// <param name="FramesInLoss">How many frames say that the receiver has lost the signal.</param>
/// <param name="FramesMissing">How many good frames did not come when they were due; damaged ones are among them.</param>
/// <param name="LongestGap">The longest time without fresh values, from one fresh frame to the next or to the end of the recording: what
/// repeats older ones is none, as for a board. Null without times or with fewer than two frames.</param>
/// <param name="Stretches">Where all this is, in the order of time; at most <see cref="MostStretches"/>.</param>
public sealed record CaptureLoss(
    long FramesLost,
    long FramesInLoss,
    long FramesMissing,
    LossStretch? LongestGap,
    IReadOnlyList<LossStretch> Stretches
)
{
    /// <summary>The most stretches that are listed.</summary>
    public const int MostStretches = 400;

    // In shares of the usual time from frame to frame: later than this a frame was due and did not come.
    [Figure(
        Station.Wire,
        "A frame did not come when the time since the last is the usual one, times",
        ProvenanceKind.OwnAssumption
    )]
    internal const double Late = 1.5;

    /// <summary>Nothing lost, nothing measured.</summary>
    public static CaptureLoss None { get; } = new(0, 0, 0, null, []);

    /// <summary>Looks for losses among the frames of a recording.</summary>
    /// <param name="frames">The good frames, in the order of time.</param>
    /// <param name="interval">The usual time from frame to frame; null when the recording has no times.</param>
    /// <param name="end">When the recording ends, in nanoseconds.</param>
    public static CaptureLoss Of(IReadOnlyList<FoundFrame> frames, Milliseconds? interval, long end)
    {
        FoundFrame[] carrying = [.. frames.Where(f => f.Kind != FrameKind.Other)];
        var (lost, inLoss) = (
            carrying.LongCount(f => f.Says == LossKind.FrameLost),
            carrying.LongCount(f => f.Says == LossKind.SignalLoss)
        );
        if (interval is not { Value: > 0 and var usual } || carrying.Length == 0)
            return None with { FramesLost = lost, FramesInLoss = inLoss };
        var stretches = new List<LossStretch>();
        var missing = 0L;
        for (var i = 0; i < carrying.Length; i++)
        {
            var at = carrying[i].At / 1e6;
            var next = (i + 1 < carrying.Length ? carrying[i + 1].At : end) / 1e6;
            if (carrying[i].Says is { } says)
                Put(stretches, says, at, usual);
            if (next - at <= Late * usual)
                continue;
            missing += (long)Math.Round((next - at) / usual) - 1;
            Put(stretches, LossKind.Missing, at + usual, next - at - usual);
        }

        return new CaptureLoss(lost, inLoss, missing, Longest(carrying, end), [.. stretches.Take(MostStretches)]);
    }

    private static LossStretch Longest(FoundFrame[] frames, long end)
    {
        var (from, length, last) = (0L, 0L, frames[0].At);
        foreach (var at in frames.Where(f => f.Kind == FrameKind.Channels).Select(f => f.At).Append(end))
        {
            if (at - last > length)
                (from, length) = (last, at - last);
            last = at;
        }

        return new LossStretch(LossKind.Missing, new Milliseconds(from / 1e6), new Milliseconds(length / 1e6));
    }

    /// <summary>What was lost, a sentence each, the worst first; empty when nothing was.</summary>
    public IReadOnlyList<string> Words
    {
        get
        {
            var said = new List<string>();
            if (FramesInLoss > 0)
                said.Add(
                    $"The receiver had lost the signal: {Frames(FramesInLoss)} {(FramesInLoss == 1 ? "says" : "say")} so{First(LossKind.SignalLoss)}. What the channels show there are the values for a loss, not the sticks."
                );
            if (FramesLost > 0)
                said.Add(
                    $"{Frames(FramesLost)} {(FramesLost == 1 ? "repeats" : "repeat")} older values, because the receiver missed a packet{First(LossKind.FrameLost)}."
                );
            if (FramesMissing > 0)
                said.Add(
                    $"{Frames(FramesMissing)} did not come, or came damaged, when {(FramesMissing == 1 ? "it was" : "they were")} due{First(LossKind.Missing)}."
                );
            return said;
        }
    }

    private string First(LossKind kind)
    {
        LossStretch[] own = [.. Stretches.Where(s => s.Kind == kind)];
        if (own.Length == 0)
            return "";
        var longest = own.MaxBy(s => s.Length.Value)!;
        return own.Length == 1
            ? $", at {Seconds(longest.From)} for {Figures.Plain(longest.Length.Value, 1)} ms"
            : $", first at {Seconds(own[0].From)}, for {Figures.Plain(longest.Length.Value, 1)} ms at the longest";
    }

    private static string Frames(long count) => count == 1 ? "1 frame" : $"{count} frames";

    private static string Seconds(Milliseconds at) => Figures.Plain(at.Value / 1000, 3) + " s";

    // What follows directly on the same goes on.
    private static void Put(List<LossStretch> stretches, LossKind kind, double from, double length)
    {
        if (
            stretches.Count > 0
            && stretches[^1] is { } last
            && last.Kind == kind
            && from <= last.From.Value + last.Length.Value + (length / 2)
        )
            stretches[^1] = last with { Length = new Milliseconds(from + length - last.From.Value) };
        else
            stretches.Add(new LossStretch(kind, new Milliseconds(from), new Milliseconds(length)));
    }
}
