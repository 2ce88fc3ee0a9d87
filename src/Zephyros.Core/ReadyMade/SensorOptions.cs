using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.ReadyMade;

/// <summary>The sensors of a model as options of a parameter.</summary>
internal static class SensorOptions
{
    /// <summary>Those that fit, the ones of the board first.</summary>
    public static IReadOnlyList<Option> Of(Setup setup, Func<Sensor, bool> fits) =>
        [
            .. setup
                .Model.Sensors.Where(s => fits(s.Value))
                .OrderBy(s => s.Value.MeasuredBy != SensorOrigin.Board)
                .ThenBy(s => s.Key, StringComparer.Ordinal)
                .Select(s => new Option(s.Key, $"{s.Value.Label}: {s.Value.Measures.Words(s.Value.MeasuredBy)}")),
        ];

    /// <summary>The option for a sensor that the model does not know yet; no sensor has this id.</summary>
    public const string New = "+";

    /// <summary>The same, and a new one last.</summary>
    public static IReadOnlyList<Option> OrNew(Setup setup, string label, Func<Sensor, bool> fits) =>
        [.. Of(setup, fits), new Option(New, $"a new sensor: {label}")];

    /// <summary>The first of some options; empty when there is none.</summary>
    public static string First(IReadOnlyList<Option> options) => options.Count > 0 ? options[0].Value : "";

    /// <summary>How late an alarm on a sensor may be because its readings are apart, as a sentence.</summary>
    public static string Age(Setup setup, string sensor)
    {
        var way = Return.ReturnPlan.Of(setup).Sensors[sensor];
        return way switch
        {
            { Obstacle: { } obstacle } => $"{setup.Model.Sensors[sensor].Label} does not come: {obstacle.Words}",
            { Every: { } every } =>
                $"{setup.Model.Sensors[sensor].Label} comes every {every.Words}: so much later it may speak.",
            _ => $"{setup.Model.Sensors[sensor].Label} is measured by the transmitter itself.",
        };
    }
}
