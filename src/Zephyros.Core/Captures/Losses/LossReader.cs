using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures.Losses;

/// <summary>Finds the loss of the signal in a recording that was made while a stick was kept moving and the transmitter was switched off:
/// silence, held values, a flag and presets are told apart, and the receiver's own delay is measured.</summary>
/// <remarks>A receiver that holds, and a pilot who stops moving, look alike on the wire unless the frames say more: that a stick was kept
/// moving is for the pilot to know.</remarks>
public sealed class LossReader
{
    [Figure(Station.Wire, "A loss in a recording lasts at least", ProvenanceKind.OwnAssumption, Unit = "ms")]
    private const double Shortest = 250;

    [Figure(
        Station.Wire,
        "Values that stand still in a recording are held, or presets, after",
        ProvenanceKind.OwnAssumption,
        Unit = "ms"
    )]
    private const double Still = 700;

    [Figure(
        Station.Wire,
        "A channel moves in a recording when it changes by more than",
        ProvenanceKind.OwnAssumption,
        Unit = "µs"
    )]
    private const double Moves = 3;

    // A receiver that gives up leaps so far, in microseconds, after a stand so much longer than any of what moved: a hand that comes to
    // rest creeps.
    private const double Leap = 15;
    private const double Longer = 1.5;

    // A stick that is kept moving changes so often, at least, in the time before: in milliseconds.
    private const int Often = 4;
    private const double Before = 400;

    private static readonly Dictionary<ChannelNumber, int> Nothing = [];

    private readonly WireDescriptor wire;
    private readonly double usual;
    private readonly double end;
    private readonly (double At, IReadOnlyList<int> Counts, LossKind? Says)[] frames;

    // The places of the frames that differ from the one before.
    private readonly int[] moved;

    private LossReader(CaptureVerdict verdict, WireDescriptor wire, double usual, long end)
    {
        (this.wire, this.usual, this.end) = (wire, usual, end / 1e6);
        frames =
        [
            .. verdict
                .Frames.Where(f => f.Kind != FrameKind.Other)
                .Skip(wire.FramesForAll - 1)
                .Select(f => (f.At / 1e6, f.Counts, f.Says)),
        ];
        moved = [.. Enumerable.Range(1, Math.Max(0, frames.Length - 1)).Where(i => Differ(i - 1, i).Any())];
    }

    /// <summary>The longest loss of a recording.</summary>
    /// <param name="verdict">What it was recognised as.</param>
    /// <param name="end">When it ends, in nanoseconds.</param>
    /// <returns>Null without times, or where nothing looks like one.</returns>
    public static RecordedLoss? Of(CaptureVerdict verdict, long end)
    {
        if (verdict.Format is not { } format || verdict.Interval is not { Value: > 0 and var usual })
            return null;
        var reader = new LossReader(verdict, format.Describe(), usual, end);
        // Silence to the end may be a craft that was unplugged.
        return reader.Flagged()
            ?? reader.Silent(comesBack: true)
            ?? reader.Jumped()
            ?? reader.Held()
            ?? reader.Silent(comesBack: false);
    }

    // Frames that say so; rather those before which something moved, as a receiver says so before its link is up too.
    private RecordedLoss? Flagged()
    {
        RecordedLoss? best = null;
        for (var first = 0; first < frames.Length; first++)
        {
            if (!Says(first) || Says(first - 1))
                continue;
            var next = Array.FindIndex(frames, first, f => f.Says != LossKind.SignalLoss);
            var changed = first > 0 ? Differ(first - 1, first).ToArray() : [];
            var read = Read(
                changed.Length > 0 ? LossManner.Presets : LossManner.Held,
                flagged: true,
                first,
                frames[first].At,
                next < 0 ? end : frames[next].At,
                changed
            );
            if (best is null || Weight(read).CompareTo(Weight(best)) > 0)
                best = read;
        }

        return best;

        bool Says(int place) => place >= 0 && frames[place].Says == LossKind.SignalLoss;

        (bool, double) Weight(RecordedLoss loss) => (loss.Delay is not null, (loss.Ends - loss.GivesUp!.Value).Value);
    }

    // No frames at all. What the receiver repeated before that is no longer fresh.
    private RecordedLoss? Silent(bool comesBack)
    {
        var longest = (Place: -1, Length: Shortest);
        for (var i = 0; i < frames.Length - (comesBack ? 1 : 0); i++)
            if (Next(i) - frames[i].At is var length && length > Math.Max(longest.Length, CaptureLoss.Late * usual))
                longest = (i, length);
        if (longest.Place < 0)
            return null;
        var gave = frames[longest.Place].At + usual;
        return Read(LossManner.Silent, flagged: false, longest.Place + 1, gave, Next(longest.Place), []);
    }

    // One leap after the values stood still, and none after it for long.
    private RecordedLoss? Jumped()
    {
        RecordedLoss? best = null;
        for (var m = 1; m < moved.Length; m++)
        {
            var place = moved[m];
            // It takes as many frames as carry all channels.
            var lands = m;
            while (lands + 1 < moved.Length && moved[lands + 1] < place + wire.FramesForAll)
                lands++;
            var (landed, until) = (moved[lands], UntilMoved(lands));
            var changed = Differ(place - 1, landed).ToArray();
            if (
                until - frames[landed].At < Still
                || frames[place].At - frames[moved[m - 1]].At < Pace(m - 1) * Longer
                || !Differ(place - 1, landed, Leap).Any()
                || !(changed.Length > 1 || IsMoving(m - 1))
            )
                continue;
            var read = Read(LossManner.Presets, flagged: false, place, frames[place].At, until, changed, landed);
            if (best is null || read.Ends - read.GivesUp!.Value > best.Ends - best.GivesUp!.Value)
                best = read;
        }

        return best;
    }

    // Values that stand still after a stick was moving.
    private RecordedLoss? Held()
    {
        RecordedLoss? best = null;
        for (var m = 0; m < moved.Length; m++)
        {
            var (from, until) = (frames[moved[m]].At, UntilMoved(m));
            if (until - from < Still || !IsMoving(m))
                continue;
            var read = new RecordedLoss(
                LossManner.Held,
                false,
                new(from),
                null,
                new(Pace(m)),
                new(until),
                Nothing,
                Nothing
            );
            if (best is null || until - from > (best.Ends - best.LastFresh!.Value).Value)
                best = read;
        }

        return best;
    }

    private RecordedLoss Read(
        LossManner manner,
        bool flagged,
        int place,
        double gave,
        double until,
        IReadOnlyList<int> changed,
        int? landed = null
    )
    {
        var (fresh, within) = LastFresh(place);
        var counts = frames[Math.Min(landed ?? place, frames.Length - 1)].Counts;
        return new RecordedLoss(
            manner,
            flagged,
            fresh is { } at ? new(at) : null,
            new(gave),
            new(within),
            new(until),
            manner == LossManner.Presets ? Counts(changed) : Nothing,
            manner == LossManner.Presets ? Counts(Enumerable.Range(0, counts.Count).Except(changed)) : Nothing
        );

        Dictionary<ChannelNumber, int> Counts(IEnumerable<int> channels) =>
            channels.ToDictionary(c => new ChannelNumber(c + 1), c => counts[c]);
    }

    // The last fresh values before a place: frames say themselves which are older, or a stick that was kept moving shows it.
    private (double? At, double Within) LastFresh(int place)
    {
        var repeats = place - 1;
        while (repeats >= 0 && frames[repeats].Says == LossKind.FrameLost)
            repeats--;
        if (repeats >= 0 && repeats < place - 1)
            return (frames[repeats].At, usual);
        // Where the place itself is not among them, the search answers with the one after it.
        var found = Array.BinarySearch(moved, place);
        var last = (found < 0 ? ~found : found) - 1;
        return last >= 0 && IsMoving(last) ? (frames[moved[last]].At, Pace(last)) : (null, 0);
    }

    // These three look at a movement by its place among all of them, and no further back than they must: a recording may be long.
    private bool IsMoving(int movement) => movement - FirstLately(movement) + 1 >= Often;

    // How long what moved stood still at most before its last movement, which is how long it may have stood still after it.
    private double Pace(int movement)
    {
        var first = FirstLately(movement);
        var longest = first == movement ? usual : 0;
        for (var m = first; m < movement; m++)
            longest = Math.Max(longest, frames[moved[m + 1]].At - frames[moved[m]].At);
        return longest;
    }

    private int FirstLately(int movement)
    {
        var first = movement;
        while (first > 0 && frames[moved[first - 1]].At >= frames[moved[movement]].At - Before)
            first--;
        return first;
    }

    private IEnumerable<int> Differ(int before, int after, double by = Moves)
    {
        var (a, b) = (frames[before].Counts, frames[after].Counts);
        return Enumerable.Range(0, Math.Min(a.Count, b.Count)).Where(c => Math.Abs(a[c] - b[c]) * wire.Step.Value > by);
    }

    // Without frames nothing is held.
    private double UntilMoved(int movement) =>
        movement + 1 < moved.Length ? frames[moved[movement + 1]].At : frames[^1].At + usual;

    private double Next(int place) => place + 1 < frames.Length ? frames[place + 1].At : end;
}
