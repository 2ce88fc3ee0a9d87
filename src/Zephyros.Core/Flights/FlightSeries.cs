using Zephyros.Core.Flights.Table;

namespace Zephyros.Core.Flights;

/// <summary>What was recorded of one thing.</summary>
public sealed class FlightSeries
{
    private readonly double[] values;

    internal FlightSeries(ColumnMeaning meaning, string unit, double[] values) =>
        (Meaning, Unit, this.values) = (meaning, unit, values);

    /// <summary>What it is.</summary>
    public ColumnMeaning Meaning { get; }

    /// <summary>The unit of its values; a strength may be in dBm or in percent.</summary>
    public string Unit { get; }

    /// <summary>A value for each row; not a number where the row has none.</summary>
    public ReadOnlySpan<double> Values => values;
}
