using Zephyros.Core.Hands;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Core.Proof;

/// <summary>Whether what the board takes for the throttle ever falls while the throttle stick rises.</summary>
internal static class ThrottleCourse
{
    private const int Steps = 80;

    /// <summary>Looks at the start positions, and at every other position of one switch at a time.</summary>
    /// <returns>A broken promise with the place of the first fall, or null.</returns>
    public static PromiseVerdict? FirstFall(SignalPlan plan)
    {
        if (plan.Setup.Transmitter.StickOf(StickAxis.Throttle) is not { } stick)
            return null;
        var (index, channel) = (
            plan.Model.IndexOf(stick),
            plan.Setup.Board.Map.ChannelOf(StickAxis.Throttle).Value - 1
        );
        foreach (var (name, values) in Places(plan))
        {
            var last = double.NegativeInfinity;
            for (var i = 0; i <= Steps; i++)
            {
                var percent = -100 + (200.0 * i / Steps);
                values.Hands[index] = new Percent(percent);
                plan.Settle(values);
                var received = values.Received[channel].Value;
                if (received < last)
                    return new PromiseVerdict(
                        VerdictKind.Broken,
                        $"With {name}, the board\u2019s throttle falls from {Figures.Plain(last)} to {Figures.Plain(received)} µs while the stick rises to {Figures.Signed(percent)} %."
                    );
                last = received;
            }
        }

        return null;
    }

    private static IEnumerable<(string Name, SignalValues Values)> Places(SignalPlan plan)
    {
        yield return ("all controls at their start", plan.CreateValues());
        foreach (var (id, control) in plan.Model.Controls)
        foreach (var position in control.NamedPositions)
            yield return ($"{control.Name} at {position.Name}", plan.With(id, position.Setting));
    }
}
