using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Speech;

/// <summary>Says figures as a voice says them: "14.2 volts".</summary>
public static class SpokenFigures
{
    // What a voice can be understood with: tenths.
    private const int UsualDecimals = 1;

    /// <summary>A reading of a sensor as it is spoken.</summary>
    public static string Of(Sensor sensor, Reading reading)
    {
        var figure = Figures
            .Plain(reading.Value, sensor.Decimals ?? UsualDecimals)
            .Replace("−", "minus ", StringComparison.Ordinal);
        var unit = Word(sensor.Unit);
        return unit.Length > 0 ? $"{figure} {unit}" : figure;
    }

    private static string Word(string unit) =>
        unit switch
        {
            "V" => "volts",
            "A" => "amperes",
            "mAh" => "milliampere hours",
            "Ah" => "ampere hours",
            "%" => "percent",
            "m" => "metres",
            "km" => "kilometres",
            "ft" => "feet",
            "m/s" => "metres a second",
            _ => unit,
        };
}
