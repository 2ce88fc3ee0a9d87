using Zephyros.Core.Craft;
using Zephyros.Core.Flights.Table;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>What happened on a recorded flight, as far as an alarm is held to it: the load, the charge that was left, and the critical
/// moment.</summary>
public sealed class FlightCourse
{
    [Figure(
        Station.Return,
        "A reading is critical once it stays below its limit for",
        ProvenanceKind.OwnAssumption,
        Note = "a burst of throttle is over by then"
    )]
    private static readonly TimeSpan CriticalAfter = TimeSpan.FromSeconds(5);

    [Figure(
        Station.Return,
        "An alarm of the battery is false when it begins with more left of what it gives until it is critical than",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Percent Much = new(50);

    [Figure(
        Station.Return,
        "A recorded pack is another craft's when its highest reading for each cell is below",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Volts LeastFull = new(3.5);

    [Figure(
        Station.Return,
        "A recorded pack is another craft's when its highest reading passes a full cell by more than",
        ProvenanceKind.OwnAssumption,
        Note = "for each cell"
    )]
    private static readonly Volts Above = new(0.1);

    private readonly int cells;
    private readonly CellChemistry chemistry;
    private readonly FlightRecording flight;
    private readonly Alarm alarm;
    private readonly JudgeWish wish;
    private readonly FlightLoad load;
    private readonly FlightCharge? charge;
    private readonly bool knowsBattery;
    private readonly NeededLead? home;

    /// <summary>Looks at a flight.</summary>
    public FlightCourse(Setup setup, FlightRecording flight, Alarm alarm, JudgeWish wish)
    {
        (this.flight, this.alarm, this.wish) = (flight, alarm, wish);
        (cells, chemistry) = (setup.Craft.Cells, setup.Craft.Chemistry);
        load = new FlightLoad(flight);
        charge = FlightCharge.Of(flight, setup.Craft.Battery);
        knowsBattery = setup.Craft.Battery is not null;
        home = charge is null ? null : NeededLead.Of(setup.Craft);
        (Critical, CriticalWhy) = alarm.OfBattery ? OfBattery() : OfLink();
    }

    /// <summary>When the critical moment came; null when it never did.</summary>
    public TimeSpan? Critical { get; }

    /// <summary>What made it critical, in words; empty when it never was.</summary>
    public string CriticalWhy { get; }

    /// <summary>What could not be judged for want of a column, in sentences.</summary>
    public IEnumerable<string> Blind
    {
        get
        {
            if (!alarm.OfBattery)
                yield break;
            if (OtherPack is { } other)
                yield return other;
            if (!load.IsKnown)
                yield return "No column tells the load: whatever alarm is withdrawn by itself counts as false.";
            if (charge is null)
                yield return knowsBattery
                    ? "No column tells current or charge: what was left is not known, and the critical moment is one of the voltage."
                    : "The craft's battery is not written down: what was left is not known, and the critical moment is one of the voltage.";
            else if (home is null)
                yield return "The way home is not written down: the critical moment is one of the voltage.";
        }
    }

    // A pack of other cells makes every level of this craft meaningless.
    private string? OtherPack
    {
        get
        {
            if (flight.Of(ColumnMeaning.Voltage) is not { } pack)
                return null;
            var highest = new Volts(pack.Values.ToArray().Where(v => !double.IsNaN(v)).DefaultIfEmpty().Max());
            var (full, least) = (cells * CellVoltages.Full(chemistry).Value, cells * LeastFull.Value);
            return highest.Value <= full + (cells * Above.Value) && highest.Value >= least
                ? null
                : $"The pack of the recording reaches {highest}, and a full one of this craft has {new Volts(Math.Round(full, 2))}: it may be another craft's.";
        }
    }

    /// <summary>The share of the charge that was left at a time, 0 to 1; null when it is not known.</summary>
    public double? LeftAt(TimeSpan at) => charge?.LeftAt(at);

    /// <summary>Judges how often an alarm was false, and what it left.</summary>
    /// <param name="held">When it held, in the order of time.</param>
    public AlarmScore Score(IReadOnlyList<Holding> held)
    {
        var wrong = 0;
        TimeSpan? lead = null;
        foreach (var holding in held)
        {
            if (Critical is { } at && Stands(holding, at))
                lead = at - holding.From;
            if (IsFalse(holding))
                wrong++;
        }

        return new AlarmScore(wrong, Critical, lead);
    }

    /// <summary>True when the alarm left what is wanted, or nothing was to be warned of.</summary>
    public bool IsEnough(AlarmScore score) => !score.Missed && !(score.Lead < wish.Lead.ToTimeSpan());

    /// <summary>How an alarm did, in a sentence or two.</summary>
    /// <param name="score">What <see cref="Score"/> made of it.</param>
    /// <param name="held">When it held.</param>
    public string Words(AlarmScore score, IReadOnlyList<Holding> held)
    {
        var wrong = score.False switch
        {
            0 => "No false alarm",
            1 => "One false alarm",
            _ => $"{score.False} false alarms",
        };
        if (score.Critical is not { } at)
            return $"{wrong}. The critical moment never came, so whether it would come in time is not known.";
        var wanted = wish.Lead.Words;
        var lead = FlightTimes.Words(score.Lead ?? default);
        return score.Lead is not null
            ? IsEnough(score)
                ? $"{wrong}; it stood {lead} before the critical moment ({CriticalWhy}), and {wanted} are wanted."
                : $"{wrong}, and too late: it stood {lead} before the critical moment ({CriticalWhy}), and {wanted} are wanted."
            : held.FirstOrDefault(h => h.From > at) is { } late
                ? $"{wrong}, and missed: it came {FlightTimes.Words(late.From - at)} after the critical moment ({CriticalWhy})."
                : $"{wrong}, and missed: none stood at the critical moment ({CriticalWhy}).";
    }

    /// <summary>Judges each time for which it held.</summary>
    public IReadOnlyList<JudgedHolding> Judge(IReadOnlyList<Holding> held) =>
        [.. held.Select(h => new JudgedHolding(h, IsFalse(h), Why(h)))];

    private static bool Stands(Holding holding, TimeSpan at) => holding.From <= at && at <= holding.To;

    private bool IsFalse(Holding holding) => IsEarly(holding) || IsWithdrawn(holding);

    // Long before anything is critical nobody heeds it: with more than half of the charge, or of the time, to go until then.
    private bool IsEarly(Holding holding)
    {
        var until = Critical ?? flight.End;
        if (holding.From >= until)
            return false;
        if (!alarm.OfBattery || charge is null)
            return 2 * ((holding.To < until ? holding.To : until) - holding.From) > until;
        // Half of what a battery gives that is worn is less than half of a new one.
        return Critical is null
            ? charge.LeftAt(holding.From) > Much.Value / 100
            : charge.UsedAt(holding.From).Value < (1 - (Much.Value / 100)) * charge.UsedAt(until).Value;
    }

    // Once the critical moment has been nothing that is said is false.
    private bool IsWithdrawn(Holding holding) =>
        holding.How == HoldingEnd.ByItself
        && !(Critical is { } at && Stands(holding, at))
        && (
            alarm.OfBattery
                ? load.WasHigh(holding.To, wish.Settle.ToTimeSpan()) && !(Critical <= holding.To)
                : holding.To - holding.From <= wish.Settle.ToTimeSpan()
        );

    private string Why(Holding holding)
    {
        var left =
            alarm.OfBattery && LeftAt(holding.To) is { } share ? $" with {Figures.Plain(100 * share, 0)} % left" : "";
        if (IsEarly(holding))
            return LeftAt(holding.From) is { } much && alarm.OfBattery
                ? $"false: begins with {Figures.Plain(100 * much, 0)} % left"
                : "false: holds for more than half of the time";
        if (Critical is { } at && Stands(holding, at))
            return $"stands {FlightTimes.Words(at - holding.From)} before it is critical ({CriticalWhy})";
        return holding.How switch
        {
            HoldingEnd.TelemetryMissed => "ends as telemetry is missed",
            HoldingEnd.Over => "stands to the end" + left,
            HoldingEnd.ByItself when IsWithdrawn(holding) => alarm.OfBattery && load.IsKnown
                ? $"false: withdrawn as the load came down{left}"
                : $"false: withdrawn by itself{left}",
            HoldingEnd.ByItself => $"is withdrawn{left}",
        };
    }

    private (TimeSpan?, string) OfBattery()
    {
        var voltage =
            flight.Of(ColumnMeaning.Voltage) is { } pack ? (Series: pack, Times: 1)
            : flight.Of(ColumnMeaning.CellVoltage) is { } cell ? (Series: cell, Times: cells)
            : ((FlightSeries Series, int Times)?)null;
        // What a board reports before it has measured is no battery.
        var mask = cells * CellVoltages.Mask.Value;
        var low = voltage is var (series, times)
            ? Stays(row => series.Values[row] * times is var volts && volts > mask && volts < wish.Critical.Value)
            : null;
        var spent = home is null ? null : charge!.LeftOnly(home.Charge);
        return (low, spent) switch
        {
            (null, null) => (null, ""),
            ({ } at, null) => (at, LowWords),
            (null, { } at) => (at, SpentWords),
            ({ } one, { } other) => one < other ? (one, LowWords) : (other, SpentWords),
        };
    }

    private string LowWords => $"below {alarm.Sensor.Words(wish.Critical)}";

    private const string SpentWords = "no more left than the way home takes";

    // A link that brings nothing any more is critical as well.
    private (TimeSpan?, string) OfLink()
    {
        var series = flight.Of(alarm.Kind.Column());
        var weak = series is null ? null : FirstWeak(series);
        TimeSpan? gone = null;
        for (var row = 1; row < flight.Times.Length && gone is null; row++)
            if (flight.Times[row] - flight.Times[row - 1] > flight.Gap)
                gone = flight.Times[row - 1];
        return gone is { } gap && (weak is null || gap < weak) ? (gap, "nothing comes any more")
            : weak is null ? (null, "")
            : (weak, LowWords);
    }

    private TimeSpan? FirstWeak(FlightSeries series)
    {
        for (var row = 0; row < series.Values.Length; row++)
            if (series.Values[row] < wish.Critical.Value)
                return flight.Times[row];
        return null;
    }

    // Since when it is so for long enough without an end.
    private TimeSpan? Stays(Func<int, bool> critical)
    {
        TimeSpan? since = null;
        for (var row = 0; row < flight.Times.Length; row++)
        {
            since = critical(row) ? since ?? flight.Times[row] : null;
            if (since is { } from && flight.Times[row] - from >= CriticalAfter)
                return flight.Times[row];
        }

        return null;
    }
}
