using Zephyros.Core.Air;
using Zephyros.Core.Craft;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>What an alarm is held to on a recorded flight.</summary>
/// <param name="Critical">The reading at which it must have warned, in the sensor's unit; the pack's voltage, not a cell's.</param>
/// <param name="Settle">Withdrawn by itself within this time after the load came down, an alarm of the battery was false; one of the link
/// was when it lasted no longer.</param>
/// <param name="Lead">What it must leave before the critical moment.</param>
public sealed record JudgeWish(Reading Critical, Milliseconds Settle, Milliseconds Lead)
{
    [Figure(
        Station.Return,
        "A battery under load is critical below the level to land by, for each cell",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Volts BelowLand = new(0.1);

    [Figure(Station.Return, "A link is critical below a quality of", ProvenanceKind.CommonPractice)]
    private static readonly Percent CriticalQuality = new(50);

    [Figure(
        Station.Return,
        "A link is critical below a strength, where it is told in percent, of",
        ProvenanceKind.CommonPractice
    )]
    private static readonly Percent CriticalStrength = new(42);

    [Figure(
        Station.Return,
        "A link is critical above the receiver's sensitivity by less than",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Decibels CriticalMargin = new(6);

    [Figure(
        Station.Return,
        "An alarm was false when it is withdrawn after the load within",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Milliseconds UsualSettle = new(10_000);

    [Figure(Station.Return, "An alarm must leave before the critical moment, at least", ProvenanceKind.OwnAssumption)]
    private static readonly Milliseconds UsualLead = new(10_000);

    [Figure(
        Station.Return,
        "A battery alarm must leave, where the way home is not written down, at least",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly Milliseconds BlindLead = new(30_000);

    /// <summary>What is usually asked of an alarm.</summary>
    public static JudgeWish Usual(Setup setup, Alarm alarm) =>
        new(
            UsualCritical(setup, alarm),
            UsualSettle,
            alarm.OfBattery && NeededLead.Of(setup.Craft) is null ? BlindLead : UsualLead
        );

    private static Reading UsualCritical(Setup setup, Alarm alarm) =>
        alarm.Kind switch
        {
            AlarmKind.Battery => new Reading(
                Math.Round(setup.Craft.Cells * (CellVoltages.Land(setup.Craft.Chemistry) - BelowLand).Value, 2)
            ),
            AlarmKind.Strength when alarm.Sensor.Unit == "%" => new Reading(CriticalStrength.Value),
            AlarmKind.Strength => new Reading(LinkBudget.SensitivityOf(setup.Air).Value + CriticalMargin.Value),
            AlarmKind.LinkQuality or AlarmKind.DownLinkQuality => new Reading(CriticalQuality.Value),
        };
}
