using Zephyros.Core.Model;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights;

/// <summary>A sensor of the model, and what was recorded of it.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Place">Its place among the sensors of the compiled model.</param>
/// <param name="Sensor">The sensor.</param>
/// <param name="Series">What was recorded.</param>
/// <param name="Factor">So many of the sensor's units are one of the recording's.</param>
/// <param name="Message">The message of the board that brings it; null when each packet does.</param>
internal sealed record HeardSensor(
    string Id,
    int Place,
    Sensor Sensor,
    FlightSeries Series,
    double Factor,
    ReturnMessage? Message
)
{
    /// <summary>What the transmitter makes of the value of a row; not a number where it has none.</summary>
    public double At(int row)
    {
        var value = Series.Values[row];
        return Sensor.Kept(new Reading(Factor == 1 ? value : Math.Round(value * Factor, Decimals))).Value;
    }

    // What a product of binary fractions adds to a limit is no reading beside it.
    private const int Decimals = 6;
}
