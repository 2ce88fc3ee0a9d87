using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Faults of sensors and of the transmitter's display, and the same as it should be. Four gauges stand on the first page.</summary>
internal static class SensorSetups
{
    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["gauge-too-short:voltage"] = ReturnFaults.Voltage(v => v with { Gauge = Gauge(18, 25) }),
            ["gauge-too-short:percent"] = InPercent(100),
            ["gauges-crowded:page-1"] = With("height", s => s with { Gauge = s.Gauge! with { Page = 1 } }),
            ["sensor-unused:height"] = With("height", s => s with { Gauge = null }),
            ["sensor-unit-off:voltage"] = ReturnFaults.Voltage(v => v with { Unit = "mV" }),
            ["search-left-running"] = ReturnFaults.Right.InModel(m => m with { Searching = true }),
            ["level-under-residue:signal-low"] = InPercent(110)
                .WithCondition("signal-low", Sensed("percent", Relation.Below, 12))
                .WithWarning("signal-low", "Signal low"),
            ["analogue-signal-left-on"] = Analogue(GogglesSetups.OnChannel(GogglesSetups.Right)),
            ["implausible-limit:signal-low:instead"] = ReturnFaults.Weak(45, 38, SensorSubject.Strength),
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["a gauge that a full battery just fills"] = ReturnFaults.Voltage(v => v with { Gauge = Gauge(18, 25.2) }),
            ["a gauge of a strength that goes to 110"] = InPercent(110),
            ["a sensor that only a condition asks"] = With("height", s => s with { Gauge = null })
                .WithCondition("high", All(At("left-front-inner", 3), Sensed("height", Relation.Above, 100)))
                .WithOverride("beeper", "high", 100),
            ["an analogue input that is the only one"] = Analogue(ReturnFaults.Right),
            ["a height in feet"] = With("height", s => s with { Unit = "ft" }),
        };

    // A strength in percent, on a page of its own.
    private static Setup InPercent(double top) =>
        ReturnFaults.Right.InModel(m =>
            m with
            {
                Sensors = m.Sensors.Add(
                    "percent",
                    ReturnFaults.Strength with
                    {
                        Unit = "%",
                        Lowest = default,
                        Highest = new(110),
                        Bench = new(90),
                        Gauge = Gauge(0, top) with { Page = 3 },
                    }
                ),
            }
        );

    private static Setup Analogue(Setup setup) =>
        setup.WithBoard(b => b with { Equipment = b.Equipment with { AnalogueSignal = true } });

    private static Setup With(string sensor, Func<Sensor, Sensor> change) =>
        ReturnFaults.Right.InModel(m => m with { Sensors = m.Sensors.Set(sensor, change) });

    private static SensorGauge Gauge(double from, double to) => new() { From = new(from), To = new(to) };
}
