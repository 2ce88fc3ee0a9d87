using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>Goggles and voice warn of the same thing at different levels.</summary>
public sealed class GogglesWarningDiffers : IFindingRule
{
    [Figure(
        Station.Return,
        "Goggles and voice agree on a level within",
        ProvenanceKind.OwnAssumption,
        Note = "for each cell"
    )]
    private static readonly Volts VoltageAgrees = new(0.02);

    [Figure(Station.Return, "Goggles and voice agree on a signal level within", ProvenanceKind.OwnAssumption)]
    private static readonly Percent SignalAgrees = new(2);

    private const string Why = "One of them speaks while the other is silent, and the pilot learns to trust neither.";

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var cells = setup.Craft.Cells;
        var voice = LevelTest.OfBattery(setup, SensorOrigin.Board).FirstOrDefault(t => t.Spoken(setup).Any());
        if (
            setup.Goggles?.CellWarning is { } shown
            && voice is not null
            && new Volts(voice.Test.Limit.Value / cells) is var said
            // A level that no battery has is another finding.
            && said < CellVoltages.Full(setup.Craft.Chemistry)
            && Math.Abs(shown.Value - said.Value) > VoltageAgrees.Value
        )
            yield return ReturnCaution.Of(
                "goggles-warning-differs:battery",
                "/goggles/cellWarning",
                "Goggles and voice warn of the battery at different levels",
                $"The goggles warn below {shown} for each cell, “{voice.Condition.Label}” speaks below {said}.",
                Why,
                GogglesFaults.Changing(
                    setup,
                    "as-voice",
                    $"The goggles warn below {said} as well.",
                    "The goggles warn of the battery where the voice does",
                    g => g with { CellWarning = new Volts(Math.Round(said.Value, 3)) }
                )
            );
        var spoken =
            from condition in setup.Model.Conditions.OrderBy(c => c.Key, StringComparer.Ordinal)
            where setup.Model.Announcements.Values.Any(a => a.Enabled && a.When == condition.Key)
            from test in TestTrees.SensorTests(condition.Value.Test)
            where
                test.Relation == Relation.Below
                && setup.Model.Sensors[test.Sensor].Measures == SensorSubject.LinkQuality
            select (condition.Value.Label, test.Limit);
        if (
            setup.Goggles?.SignalWarning is not { } share
            || spoken.Select(s => ((string, Reading)?)s).FirstOrDefault() is not var (label, limit)
            || Math.Abs(share.Value - limit.Value) <= SignalAgrees.Value
        )
            yield break;
        yield return ReturnCaution.Of(
            "goggles-warning-differs:signal",
            "/goggles/signalWarning",
            "Goggles and voice warn of the signal at different levels",
            $"The goggles warn below {Figures.Plain(share.Value)} %, “{label}” speaks below {limit} %.",
            Why,
            GogglesFaults.Changing(
                setup,
                "as-voice",
                $"The goggles warn below {limit} % as well.",
                "The goggles warn of the signal where the voice does",
                g => g with { SignalWarning = new Percent(limit.Value) }
            )
        );
    }
}
