using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A dial used as a switch with three positions: beyond a third to either side counts as an end.</summary>
public sealed class DialThirds : IReadyMade
{
    [Figure(Station.Hands, "A dial used as a switch is at an end beyond", ProvenanceKind.CommonPractice, Unit = "%")]
    private const double Third = 33;

    /// <inheritdoc />
    public string Id => "dial-thirds";

    /// <inheritdoc />
    public string Title => "Dial as a three-position switch";

    /// <inheritdoc />
    public string Purpose =>
        "Turned more than a third to either side, the dial counts as at that end, so it need not be set exactly. The channel gets one of three values.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var dials = Workshop.Controls(setup, c => c is TravellingControl);
        var channels = Workshop.Channels(setup);
        return
        [
            new("dial", "Dial", ParameterKind.Control, dials.Count > 0 ? dials[0].Value : "") { Options = dials },
            new("channel", "On channel", ParameterKind.Channel, channels.Count > 0 ? channels[^1].Value : "")
            {
                Options = channels,
            },
            new("values", "Values left, middle, right", ParameterKind.Numbers, "-100 0 100") { Unit = Percent.Symbol },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (dial, channel, values) = (wanted.Option("dial"), wanted.Option("channel"), wanted.Numbers("values", 3));
        if (wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        var name = setup.Transmitter.Controls[dial].Name;
        var left = work.Condition($"{name} left", Beyond(dial, Relation.Below, -Third));
        var right = work.Condition($"{name} right", Beyond(dial, Relation.Above, Third));
        work.Put(channel, setup.Model.Channels[channel] with { Take = new ControlSource { Control = dial } });
        work.Append(
            channel,
            ("third-middle", To(values[1], null)),
            ("third-left", To(values[0], left)),
            ("third-right", To(values[2], right))
        );
        return new Built(
            work.Setup,
            [
                $"Below −{Third:0} %: {new Percent(values[0])}. Between: {new Percent(values[1])}. Above +{Third:0} %: {new Percent(values[2])}.",
            ]
        );
    }

    private static CompareTest Beyond(string dial, Relation relation, double limit) =>
        new()
        {
            Value = new ControlSource { Control = dial },
            Relation = relation,
            Limit = new Percent(limit),
        };

    private static SwitchOverStep To(double value, string? when) =>
        new()
        {
            Order = 0,
            When = when,
            With = new Operand { Take = new ConstantSource { Value = new Percent(value) } },
        };
}
