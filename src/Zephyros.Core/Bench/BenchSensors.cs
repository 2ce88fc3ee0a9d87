using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Duplex;

namespace Zephyros.Core.Bench;

/// <summary>What is measured at the craft, which the transmitter knows only once a packet of telemetry has brought it.</summary>
internal sealed class BenchSensors
{
    private readonly Dictionary<string, Reading> set = new(StringComparer.Ordinal);

    /// <summary>Sensors that measure the same.</summary>
    public BenchSensors Copy()
    {
        var made = new BenchSensors();
        foreach (var (sensor, reading) in set)
            made.set[sensor] = reading;
        return made;
    }

    /// <summary>Sets by hand what a sensor measures.</summary>
    public void Set(string sensor, Reading reading) => set[sensor] = reading;

    /// <summary>What each sensor measures, by its id: what was set by hand, or, at a distance, what link and distance make of it.</summary>
    public IEnumerable<(string Id, Reading Reading)> Measured(SignalPlan plan, RadioWay way)
    {
        (Reading Quality, Reading Strength)? link = way.At is { } at
            ? Carried(plan.Setup.Wire.Format, way.Quality, at.Strength)
            : null;
        foreach (var (id, sensor) in plan.Model.Sensors)
        {
            var byHand = set.GetValueOrDefault(id, sensor.Bench);
            yield return (
                id,
                sensor.Measures switch
                {
                    SensorSubject.LinkQuality => link?.Quality ?? byHand,
                    SensorSubject.Strength => link?.Strength ?? byHand,
                    SensorSubject.Other => byHand,
                }
            );
        }
    }

    /// <summary>What the transmitter reads of the link in a packet, in whole numbers.</summary>
    /// <remarks>Where the wire format carries telemetry it is really encoded and decoded.</remarks>
    public static (Reading Quality, Reading Strength) Carried(
        WireFormat format,
        Percent quality,
        DecibelMilliwatts strength
    )
    {
        var (share, level) = ((int)Math.Round(quality.Value), (int)Math.Round(strength.Value));
        if (!format.Describe().TwoWay)
            return (new(share), new(level));
        Span<byte> bytes = stackalloc byte[DuplexFormat.LongestPacket];
        var length = new LinkStatistics((level, level), share, 0, 0, 0, 0, level, share, 0).Write(bytes);
        var read = LinkStatistics.Read(bytes[..length])!;
        return (new(read.UplinkQuality), new(read.UplinkStrength.One));
    }
}
