using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Trial;

/// <summary>Where the limit of an alarm is set to hear it: just above what is read.</summary>
/// <param name="Level">The limit; null when none can be set.</param>
/// <param name="Obstacle">Why none can be; empty otherwise.</param>
/// <remarks>Common practice, no source: the limit above the present reading speaks, below it is silent, and then it is put back.</remarks>
public sealed record RaisedLimit(Reading? Level, string Obstacle)
{
    [Figure(
        Station.Return,
        "To hear an alarm, its limit is set above the reading by",
        ProvenanceKind.OwnAssumption,
        Unit = "V"
    )]
    private const double AboveVoltage = 0.2;

    [Figure(
        Station.Return,
        "To hear an alarm of the link, its limit is set above the reading by",
        ProvenanceKind.OwnAssumption,
        Note = "percent or decibels"
    )]
    private const double AboveSignal = 3;

    /// <summary>Where the limit of an alarm is set at a reading.</summary>
    /// <param name="alarm">The alarm.</param>
    /// <param name="now">What its sensor reads; null when nothing came.</param>
    public static RaisedLimit Of(Alarm alarm, Reading? now)
    {
        var sensor = alarm.Sensor;
        if (now is not { } reads)
            return new(
                null,
                $"Nothing was heard of {sensor.Label} yet: connect the battery, and look whether telemetry comes."
            );
        var words = sensor.Words(reads);
        if (reads < alarm.Level.Limit && !IsMasked(alarm, reads))
            return new(null, $"{sensor.Label} reads {words}, below the limit already: there is nothing to be raised.");
        var above = alarm.OfBattery ? AboveVoltage : AboveSignal;
        var level = new Reading(Math.Round(reads.Value + above, 2));
        if (IsMasked(alarm, reads))
            return new(
                null,
                $"{sensor.Label} reads {words}, which the alarm takes for no reading at all: connect the battery."
            );
        return level > sensor.Highest
            ? new(
                null,
                $"{sensor.Label} reads {words}, and {sensor.Words(sensor.Highest)} is the most that it can: no limit lies above. Take the craft away, or cover the antenna, until it reads less."
            )
            : new(level, "");
    }

    /// <summary>The edit that notes that the limit stands there, at the transmitter, for a test.</summary>
    public static SetupEdit Note(Setup setup, Alarm alarm, Reading level) =>
        SetupEdit.Between(
            $"“{alarm.Condition.Label}” stands at {alarm.Sensor.LimitWords(level)} for a test",
            setup,
            setup with
            {
                Model = setup.Model with { Raised = setup.Model.Raised.SetItem(alarm.Id, level) },
            }
        );

    /// <summary>The edit that notes that the old limit was read back; null when what was read is another one.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="alarm">The alarm.</param>
    /// <param name="reads">What the limit reads at the transmitter.</param>
    /// <param name="over">What is read there of where it is over; null when the alarm has no such place.</param>
    public static SetupEdit? ReadBack(Setup setup, Alarm alarm, Reading reads, Reading? over) =>
        Same(alarm, reads, alarm.Level.Limit)
        && (alarm.Over is not { } asked || (over is { } read && Same(alarm, read, asked)))
            ? SetupEdit.Between(
                $"“{alarm.Condition.Label}” reads {alarm.Sensor.LimitWords(alarm.Level.Limit)} again",
                setup,
                setup with
                {
                    Model = setup.Model with { Raised = setup.Model.Raised.Remove(alarm.Id) },
                }
            )
            : null;

    /// <summary>Where it must be over, while its limit stands elsewhere: as far above it as before. Else it would be over at once and say
    /// nothing.</summary>
    public static Reading? OverAt(Alarm alarm, Reading level) =>
        alarm.Over is { } over ? new Reading(Math.Round(over.Value + level.Value - alarm.Level.Limit.Value, 2)) : null;

    private static bool Same(Alarm alarm, Reading one, Reading other) =>
        alarm.Sensor.Words(one) == alarm.Sensor.Words(other);

    // Below the mask of the alarm a reading is none.
    private static bool IsMasked(Alarm alarm, Reading reads) =>
        TestTrees
            .SensorTests(alarm.Condition.Test)
            .Any(t =>
                t.Sensor == alarm.SensorId
                && t.Relation == Relation.Above
                && t.Limit < alarm.Level.Limit
                && reads <= t.Limit
            );
}
