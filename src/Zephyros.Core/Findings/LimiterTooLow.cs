using Zephyros.Core.Edits;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>A throttle limiter leaves so little travel that the craft will not climb.</summary>
public sealed class LimiterTooLow : IFindingRule
{
    [Figure(
        Station.Model,
        "Few craft climb with a throttle limited to less than",
        ProvenanceKind.CommonPractice,
        Unit = "%"
    )]
    private const double FewestShare = 50;

    [Figure(Station.Model, "Useful throttle limits begin at", ProvenanceKind.CommonPractice, Unit = "%")]
    private const double Useful = 75;

    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan)
    {
        var setup = plan.Setup;
        var stick = setup.Transmitter.StickOf(StickAxis.Throttle);
        return from channel in setup.Model.Channels
            where channel.Value.Take is ControlSource { Control: var id } && id == stick
            from step in channel.Value.Steps
            where step.Value is MultiplyStep { Off: false, With.Take: ControlSource }
            let share = Shares((MultiplyStep)step.Value)
            where share.Low < FewestShare
            select Of(setup, channel.Key, step.Key, (MultiplyStep)step.Value, share.Low, share.High);
    }

    private static (double Low, double High) Shares(MultiplyStep step)
    {
        var (one, other) = ((step.With.Shift - step.With.Scale).Value, (step.With.Shift + step.With.Scale).Value);
        return (Math.Min(one, other), Math.Max(one, other));
    }

    private static Finding Of(Setup setup, string channelId, string stepId, MultiplyStep step, double low, double high)
    {
        var control = ((ControlSource)step.With.Take).Control;
        var name = setup.Transmitter.Controls[control].Name;
        var top = Math.Max(high, Useful);
        var sign = step.With.Scale.Value < 0 ? -1 : 1;
        var mended = step with
        {
            With = step.With with
            {
                Scale = new Percent(sign * (top - Useful) / 2),
                Shift = new Percent((top + Useful) / 2),
            },
        };
        return new Finding
        {
            Key = $"limiter-too-low:{channelId}:{stepId}",
            Severity = low <= 10 ? Severity.Danger : Severity.Caution,
            Station = Station.Model,
            Place = $"/model/channels/{channelId}/steps/{stepId}/with",
            Title = $"{name} can limit the throttle to {Figures.Plain(Math.Max(low, 0))} %",
            What = $"Over its travel the share of throttle runs from {Figures.Plain(low)} to {Figures.Plain(high)} %.",
            Why =
                low < 0
                    ? "Below 0 % the throttle works backwards, and near 0 % the craft will not climb."
                    : "With so little travel the craft will not climb, and a knock on the dial is enough.",
            Provenance = Provenance.Practice("useful limits are 75 to 100 %"),
            MayBeJustified = true,
            Fixes =
            [
                new Fix(
                    "raise",
                    $"{name} limits between {Figures.Plain(Useful)} and {Figures.Plain(top)} %.",
                    ModelEdits.InModel(
                        setup,
                        $"Limiter {Figures.Plain(Useful)} to {Figures.Plain(top)} %",
                        m => With(m, channelId, stepId, mended)
                    )
                ),
            ],
        };
    }

    private static TransmitterModel With(TransmitterModel model, string channelId, string stepId, ChainStep step)
    {
        var channel = model.Channels[channelId];
        return model with
        {
            Channels = model.Channels.SetItem(channelId, channel with { Steps = channel.Steps.SetItem(stepId, step) }),
        };
    }
}
