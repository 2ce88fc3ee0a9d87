using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>The two-minute measuring routine: each step says which stick to move, and ends once a bar has moved and everything has
/// rested for a second, so that no hand need leave the sticks.</summary>
public sealed class StickRoutine : IRoutine
{
    // One that goes less is the trembling of the hand.
    [Figure(
        Station.Hands,
        "In the guided routine a bar is meant that moves by",
        ProvenanceKind.OwnAssumption,
        Unit = "µs"
    )]
    private const double Meant = 150;

    [Figure(
        Station.Hands,
        "In the guided routine a stick rests while its bar stays within",
        ProvenanceKind.OwnAssumption,
        Unit = "µs"
    )]
    private const double Still = 4;

    [Figure(Station.Hands, "In the guided routine a stick must rest for", ProvenanceKind.OwnAssumption)]
    private static readonly TimeSpan Rest = TimeSpan.FromSeconds(1);

    // A hand needs longer to let go than to hold still.
    [Figure(Station.Hands, "In the guided routine a stick that was let go must rest for", ProvenanceKind.OwnAssumption)]
    private static readonly TimeSpan RestLetGo = TimeSpan.FromSeconds(1.5);

    private static readonly StickAxis[] Order = [StickAxis.Throttle, StickAxis.Roll, StickAxis.Pitch, StickAxis.Yaw];

    private readonly List<WiggleSeen> wiggles = [];
    private readonly Dictionary<string, Sweep> sweeps = new(StringComparer.Ordinal);
    private IReadOnlyDictionary<StickAxis, Microseconds> from;
    private IReadOnlyDictionary<StickAxis, Microseconds> resting;
    private TimeSpan since;
    private int place;
    private RoutinePhase phase;
    private string problem = "";
    private double first;
    private double other;
    private double least;
    private double most;

    /// <summary>Begins with the sticks at rest.</summary>
    /// <param name="seen">What the board shows.</param>
    /// <param name="now">The time.</param>
    public StickRoutine(BoardShows seen, TimeSpan now)
    {
        (from, resting, since) = (seen.Bars, seen.Bars, now);
    }

    /// <summary>What a hand does that follows it: each stick to its one end, to the other, and back.</summary>
    public static IReadOnlyList<(string Control, double Setting)> Movements(Transmitter transmitter) =>
        [
            .. from stick in Order
            let control = transmitter.StickOf(stick)
            where control is not null
            from setting in new[] { 100, -100, stick == StickAxis.Throttle ? -100.0 : 0 }
            select (control, setting),
        ];

    /// <inheritdoc />
    public RoutineState State =>
        new(
            phase == RoutinePhase.Done,
            Prompt,
            problem,
            Asks,
            place,
            Order.Length,
            new BoardReadings([.. wiggles], new Dictionary<string, Sweep>(sweeps, StringComparer.Ordinal), [])
        );

    private RoutineAsk Asks =>
        phase switch
        {
            RoutinePhase.Done => RoutineAsk.Nothing,
            RoutinePhase.FirstEnd => new([Order[place], .. Order.Where(a => a != Order[place])], [], AtRest: false),
            RoutinePhase.OtherEnd => new([wiggles[^1].Bar], [], AtRest: false),
            RoutinePhase.LetGo => new(
                [wiggles[^1].Bar],
                [],
                AtRest: true,
                Order[place] == StickAxis.Throttle ? new Microseconds(other) : null
            ),
        };

    private string Prompt =>
        phase switch
        {
            RoutinePhase.FirstEnd => $"Move {Order[place].Word()} fully {Way(Order[place])}, and hold it there.",
            RoutinePhase.OtherEnd => $"Now {Order[place].Word()} to its other end, and hold it there.",
            RoutinePhase.LetGo => Order[place] == StickAxis.Throttle
                ? "Leave throttle where it is."
                : $"Let {Order[place].Word()} go.",
            RoutinePhase.Done => "Done. Every stick is measured.",
        };

    /// <inheritdoc />
    public bool Look(BoardShows seen, TimeSpan now)
    {
        var bars = seen.Bars;
        if (phase == RoutinePhase.Done)
            return false;
        if (bars.Any(b => Math.Abs(b.Value.Value - resting[b.Key].Value) > Still))
        {
            (resting, since) = (bars, now);
            (least, most) = (double.MaxValue, double.MinValue);
            return false;
        }

        if (phase == RoutinePhase.LetGo)
        {
            var at = bars[wiggles[^1].Bar].Value;
            (least, most) = (Math.Min(least, at), Math.Max(most, at));
        }

        if (now - since < (phase == RoutinePhase.LetGo ? RestLetGo : Rest))
            return false;
        var before = (phase, place, problem);
        Advance(bars);
        if ((phase, place) != (before.phase, before.place))
            (since, least, most) = (now, double.MaxValue, double.MinValue);
        return before != (phase, place, problem);
    }

    /// <inheritdoc />
    public void Skip(TimeSpan now)
    {
        place = Math.Min(place + 1, Order.Length);
        (from, since, problem) = (resting, now, "");
        phase = place == Order.Length ? RoutinePhase.Done : RoutinePhase.FirstEnd;
    }

    private void Advance(IReadOnlyDictionary<StickAxis, Microseconds> bars)
    {
        switch (phase)
        {
            case RoutinePhase.FirstEnd:
                TakeFirst(bars);
                break;
            case RoutinePhase.OtherEnd:
                other = bars[wiggles[^1].Bar].Value;
                if (Math.Abs(other - first) > 2 * Meant)
                    phase = RoutinePhase.LetGo;
                break;
            case RoutinePhase.LetGo:
                TakeRest(bars);
                break;
            case RoutinePhase.Done:
                break;
        }
    }

    private void TakeFirst(IReadOnlyDictionary<StickAxis, Microseconds> bars)
    {
        StickAxis[] answered = [.. StickAxes.All.Where(a => Math.Abs(bars[a].Value - from[a].Value) > Meant)];
        problem =
            answered.Length > 1
                ? $"{string.Join(" and ", answered.Select(a => a.Word()))} answered together. Move one stick alone."
                : "";
        if (answered is not [var bar])
            return;
        first = bars[bar].Value;
        wiggles.Add(
            new WiggleSeen
            {
                Moved = Order[place],
                Bar = bar,
                Reversed = first < from[bar].Value,
            }
        );
        phase = RoutinePhase.OtherEnd;
    }

    private void TakeRest(IReadOnlyDictionary<StickAxis, Microseconds> bars)
    {
        var bar = wiggles[^1].Bar;
        var at = bars[bar].Value;
        var (low, high) = (Math.Min(first, other), Math.Max(first, other));
        sweeps[bar.Word()] = new Sweep
        {
            Low = new Microseconds(Math.Round(low)),
            // A throttle has no spring; halfway stands for its centre.
            Centre = new Microseconds(Math.Round(Order[place] == StickAxis.Throttle ? (low + high) / 2 : at)),
            High = new Microseconds(Math.Round(high)),
            Jitter = new Microseconds(Math.Max(0, Math.Round(most - least, 1))),
        };
        place++;
        from = bars;
        phase = place == Order.Length ? RoutinePhase.Done : RoutinePhase.FirstEnd;
    }

    private static string Way(StickAxis stick) =>
        stick switch
        {
            StickAxis.Throttle => "up",
            StickAxis.Pitch => "forward",
            StickAxis.Roll or StickAxis.Yaw => "to the right",
        };
}
