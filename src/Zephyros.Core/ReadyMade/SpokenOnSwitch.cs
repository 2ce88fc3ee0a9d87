using Zephyros.Core.Model.Speech;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.ReadyMade;

/// <summary>A switch that lets the transmitter speak a value: nothing in its safe position, a value in each of the others.</summary>
/// <remarks>Common practice, no source: off, voltage, signal.</remarks>
public sealed class SpokenOnSwitch : IReadyMade
{
    [Figure(Station.Return, "A value that a switch asks for is said every", ProvenanceKind.CommonPractice)]
    private static readonly Milliseconds UsualRepeat = new(4000);

    private const int LongestLabel = 30;

    // No sensor has such an id.
    private const string TimerOption = "timer/";

    /// <inheritdoc />
    public string Id => "spoken-on-switch";

    /// <inheritdoc />
    public string Title => "Spoken value on a switch";

    /// <inheritdoc />
    public string Purpose =>
        "A position of a switch lets the transmitter speak a reading again and again. Where the switch rests it is silent, and it should do "
        + "nothing else.";

    /// <inheritdoc />
    public IReadOnlyList<Parameter> Parameters(Setup setup)
    {
        var switches = Workshop.Controls(setup, c => c.NamedPositions.Count > 1);
        Option[] sensors =
        [
            .. SensorOptions.Of(setup, _ => true),
            .. setup
                .Model.Timers.OrderBy(t => t.Key, StringComparer.Ordinal)
                .Select(t => new Option(TimerOption + t.Key, $"{t.Value.Label}: what the timer shows")),
        ];
        return
        [
            new("while", "While", ParameterKind.Positions, "") { Options = switches },
            new("sensor", "It speaks", ParameterKind.Choice, SensorOptions.First(sensors)) { Options = sensors },
            new("reading", "Which is", ParameterKind.Choice, "now")
            {
                Options =
                [
                    new("now", "the reading now"),
                    new("lowest", "the lowest since the reset"),
                    new("highest", "the highest since the reset"),
                ],
            },
            new("every", "Every", ParameterKind.Number, Figures.Plain(UsualRepeat.Value / 1000))
            {
                Unit = "s",
                Minimum = 1,
                Maximum = 120,
            },
        ];
    }

    /// <inheritdoc />
    public Built? Build(Setup setup, Arguments wanted)
    {
        var (at, sensor, reading) = (wanted.Positions("while"), wanted.Option("sensor"), wanted.Option("reading"));
        var every = wanted.Number("every");
        if (at is null || wanted.Problems.Count > 0)
            return null;
        var work = new Workshop(setup);
        if (sensor.StartsWith(TimerOption, StringComparison.Ordinal))
        {
            var timer = sensor[TimerOption.Length..];
            var name = setup.Model.Timers[timer].Label;
            work.Announce(name, work.Condition($"Speak {name}", at.Test), new(every * 1000), null, timer);
            return new Built(work.Setup, []);
        }

        // With a word before it, it must still fit what says it.
        var label = setup.Model.Sensors[sensor].Label;
        label = label.Length > LongestLabel ? label[..LongestLabel].TrimEnd() : label;
        var condition = work.Condition($"Speak {label}", at.Test);
        var (which, says) = reading switch
        {
            "lowest" => (SpokenReading.Lowest, $"Lowest {label}"),
            "highest" => (SpokenReading.Highest, $"Highest {label}"),
            _ => (SpokenReading.Now, label),
        };
        work.Announce(
            says,
            condition,
            new Milliseconds(every * 1000),
            new SpokenValue { Sensor = sensor, Reading = which }
        );
        return new Built(work.Setup, [SensorOptions.Age(setup, sensor)]);
    }
}
