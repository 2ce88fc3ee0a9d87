using System.Collections.Immutable;
using Zephyros.Core.Board;
using Zephyros.Core.Goggles;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Findings;

/// <summary>Goggles that are as they should be, and others.</summary>
internal static class GogglesSetups
{
    /// <summary>Voltage, the time and what flies, below each other; they warn where the voice does: 22.2 V of six cells.</summary>
    public static Setup Right { get; } =
        ReturnFaults.Right with
        {
            Goggles = new GogglesSettings
            {
                CellWarning = new(3.7),
                Items = ImmutableDictionary<string, GogglesItem>
                    .Empty.Add("voltage", Item(GogglesSubject.PackVoltage, row: 1))
                    .Add("time", Item(GogglesSubject.ArmedTime, row: 2))
                    .Add("flies", Item(GogglesSubject.Function, row: 3)),
            },
        };

    public static GogglesItem Item(GogglesSubject shows, int page = 1, int row = 1, int column = 1) =>
        new()
        {
            Shows = shows,
            Page = page,
            Row = row,
            Column = column,
        };

    public static Setup With(Func<GogglesSettings, GogglesSettings> change) =>
        Right with
        {
            Goggles = change(Right.Goggles!),
        };

    public static Setup Showing(string id, GogglesItem item) => With(g => g with { Items = g.Items.SetItem(id, item) });

    /// <summary>The board reads the signal from channel 8, on which the receiver puts its quality, or a channel carries a strength.</summary>
    public static Setup OnChannel(Setup setup, bool strength = false)
    {
        var read = setup.WithBoard(b =>
            b with
            {
                Functions = b.Functions.Add(
                    "signal",
                    b.Functions["beeper"] with
                    {
                        Kind = FunctionKind.SignalQuality,
                        Label = "Signal",
                        Control = "",
                        Aux = 4,
                        Low = new(900),
                        High = new(2100),
                        Planned = [],
                    }
                ),
            }
        );
        return strength
            ? read.InModel(m =>
                m with
                {
                    Sensors = m.Sensors.SetItem(
                        "quality",
                        m.Sensors["quality"] with
                        {
                            Measures = SensorSubject.Strength,
                        }
                    ),
                    Channels = m.Channels.Add(
                        "signal",
                        m.Channels["beeper"] with
                        {
                            Number = new(8),
                            Label = "Signal",
                            Short = "",
                            Take = new SensorSource { Sensor = "quality" },
                        }
                    ),
                }
            )
            : read.WithAir(a => a with { Receiver = a.Receiver with { QualityOn = 8 } });
    }

    /// <summary>A signal alarm that speaks below a share.</summary>
    public static Setup Warned(double share, double below) =>
        ReturnFaults.Weak(below, 38) with
        {
            Goggles = Right.Goggles! with { SignalWarning = new(share) },
        };

    public static IReadOnlyDictionary<string, Setup> Faults { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["goggles-item-empty:height"] = Showing("height", Item(GogglesSubject.Height, row: 4))
                .WithBoard(b => b with { Equipment = b.Equipment with { Barometer = false } }),
            ["goggles-item-empty:signal"] = Showing("signal", Item(GogglesSubject.SignalQuality, row: 4)),
            ["goggles-item-empty:time"] = Showing("time", Item(GogglesSubject.ArmedTime, page: 2)),
            ["goggles-signal-mislabelled:signal"] = OnChannel(
                Showing("signal", Item(GogglesSubject.SignalQuality, row: 4)),
                strength: true
            ),
            ["goggles-overlap:voltage:time"] = Showing("time", Item(GogglesSubject.ArmedTime, row: 1, column: 7)),
            ["goggles-first-page-bare"] = With(g => g with { Items = g.Items.Remove("voltage") }),
            ["goggles-first-page-crowded"] = With(g =>
                g with
                {
                    Items = g.Items.AddRange(
                        Enumerable
                            .Range(4, 4)
                            .Select(row => KeyValuePair.Create($"more-{row}", Item(GogglesSubject.Name, row: row)))
                    ),
                }
            ),
            ["goggles-warning-differs:battery"] = With(g => g with { CellWarning = new(3.5) }),
            ["goggles-warning-differs:signal"] = Warned(70, 75),
        };

    public static IReadOnlyDictionary<string, Setup> Harmless { get; } =
        new Dictionary<string, Setup>(StringComparer.Ordinal)
        {
            ["goggles as they should be"] = Right,
            ["goggles with the quality that the receiver sends"] = OnChannel(
                Showing("signal", Item(GogglesSubject.SignalQuality, row: 4))
            ),
            ["goggles with two items beside each other"] = Showing(
                "time",
                Item(GogglesSubject.ArmedTime, row: 1, column: 8)
            ),
            ["goggles that warn about where the voice does"] = Warned(74, 75),
            ["goggles that do not warn"] = With(g => g with { CellWarning = null }),
        };
}
