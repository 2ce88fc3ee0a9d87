using Zephyros.Core.Model;
using Zephyros.Core.Model.Speech;
using Zephyros.Core.Path;

namespace Zephyros.Core.Findings;

/// <summary>A battery alarm says fixed words again and again, and not how low the battery is.</summary>
public sealed class AlarmWithoutValue : IFindingRule
{
    /// <inheritdoc />
    public IEnumerable<Finding> Examine(SignalPlan plan) =>
        from low in LevelTest.OfBattery(plan.Setup, SensorOrigin.Board)
        from spoken in low.Spoken(plan.Setup)
        where spoken.Value is { Value: null, Every: not null }
        select ReturnCaution.Of(
            $"alarm-without-value:{spoken.Key}",
            $"/model/announcements/{spoken.Key}/value",
            $"“{spoken.Value.Says}” does not say how low",
            $"It is repeated while “{low.Condition.Label}” holds, in the same words whatever {low.Sensor.Label} reads.",
            "From words alone nobody hears whether the battery recovers when the throttle comes down, or is worn.",
            [
                VoiceFaults.Changing(
                    plan.Setup,
                    "value",
                    $"Speaks the reading of {low.Sensor.Label} after the words.",
                    $"“{spoken.Value.Says}” with {low.Sensor.Label}",
                    (spoken.Key, spoken.Value with { Value = new SpokenValue { Sensor = low.Test.Sensor } })
                ),
            ]
        );
}
