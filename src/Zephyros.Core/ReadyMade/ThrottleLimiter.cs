using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A dial that limits the throttle's travel and keeps its low end.</summary>
/// <remarks>Common practice, no source: out = (t + 100) x m - 100.</remarks>
public sealed class ThrottleLimiter : IReadyMade
{
    /// <inheritdoc />
    public string Id => "throttle-limiter";

    /// <inheritdoc />
    public string Title => "Throttle limiter";

    /// <inheritdoc />
    public string Purpose =>
        "A dial sets how much of its travel the throttle has. The low end stays where it is: out = (throttle + 100) × share − 100. "
        + "Useful limits are 75 to 100 %; with a share near 0 the craft will not climb.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var dials = Workshop.Controls(setup, c => c is DialControl or SliderControl);
        return
        [
            new("dial", "Limited by", ParameterKind.Control, dials.Count > 0 ? dials[0].Value : "") { Options = dials },
            Share("lowest", "Share with the dial at its low end", "75"),
            Share("highest", "Share with the dial at its high end", "100"),
            new("active", "Only while", ParameterKind.Positions, "")
            {
                Options = Workshop.Controls(setup, c => c.NamedPositions.Count > 1),
                Optional = true,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var throttle = ThrottleTarget.Of(setup, wanted, "dial");
        var (dial, active) = (wanted.Option("dial"), wanted.Positions("active"));
        var (lowest, highest) = (wanted.Number("lowest"), wanted.Number("highest"));
        if (throttle is null || wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        var when = active is null ? null : work.Condition("Limiter on", active.Test);
        var share = new Operand
        {
            Take = new ControlSource { Control = dial },
            Scale = new Percent((highest - lowest) / 2),
            Shift = new Percent((highest + lowest) / 2),
        };
        work.Append(
            throttle,
            ("limit-lift", Shift(100, when)),
            (
                "limit-share",
                new MultiplyStep
                {
                    Order = 0,
                    With = share,
                    When = when,
                }
            ),
            ("limit-lower", Shift(-100, when))
        );
        return new Built(work.Setup, [.. Facts(lowest, highest)]);
    }

    private static ScaleStep Shift(double by, string? when) =>
        new()
        {
            Order = 0,
            Shift = new Percent(by),
            When = when,
        };

    private static IEnumerable<string> Facts(double lowest, double highest)
    {
        foreach (var (place, share) in new[] { ("low", lowest), ("mid", (lowest + highest) / 2), ("high", highest) })
            yield return $"Dial {place}: full throttle gives {new Percent((2 * share) - 100)}, {Figures.Plain(share)} % of its travel; low throttle stays at {Percent.Low}.";
    }

    private static Parameter Share(string name, string label, string value) =>
        new(name, label, ParameterKind.Number, value)
        {
            Unit = Percent.Symbol,
            Minimum = 0,
            Maximum = 100,
        };
}
