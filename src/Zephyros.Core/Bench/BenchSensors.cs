using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;
using Zephyros.Core.Wire.Duplex;

namespace Zephyros.Core.Bench;

/// <summary>What is measured at the craft, which the transmitter knows only once a packet of telemetry has brought it.</summary>
internal sealed class BenchSensors
{
    [Figure(
        Station.Return,
        "After it got power a board reports no voltage for",
        ProvenanceKind.OwnAssumption,
        Note = "its first reports say 0 V"
    )]
    private static readonly TimeSpan ReportsNothingFor = TimeSpan.FromMilliseconds(500);

    private readonly Dictionary<string, Reading> held = new(StringComparer.Ordinal);

    /// <summary>Sensors that measure the same.</summary>
    public BenchSensors Copy()
    {
        var made = new BenchSensors();
        foreach (var (sensor, reading) in held)
            made.held[sensor] = reading;
        return made;
    }

    /// <summary>Holds by hand what a sensor measures.</summary>
    public void Hold(string sensor, Reading reading) => held[sensor] = reading;

    /// <summary>Lets a sensor measure again what there is.</summary>
    public void Release(string sensor) => held.Remove(sensor);

    /// <summary>True while a sensor's reading is held.</summary>
    public bool IsHeld(string sensor) => held.ContainsKey(sensor);

    /// <summary>What each sensor measures, by its id: what is held by hand, or what link, battery and distance make of it; where the bench
    /// knows none of these, the reading that the sensor starts with.</summary>
    /// <param name="plan">The setup.</param>
    /// <param name="way">The way of the packets.</param>
    /// <param name="down">The share of telemetry packets that come.</param>
    /// <param name="battery">The flight battery; null while it is not written down.</param>
    /// <param name="powered">How long the board has had power.</param>
    public IEnumerable<(string Id, Reading Reading)> Measured(
        SignalPlan plan,
        RadioWay way,
        Percent down,
        BatteryPicture? battery,
        TimeSpan powered
    )
    {
        (Reading Quality, Reading Strength)? link = way.At is { } at
            ? Carried(plan.Setup.Wire.Format, way.Quality, at.Strength)
            : null;
        var report = battery is null ? null : Reported(plan.Setup.Wire.Format, battery);
        foreach (var (id, sensor) in plan.Model.Sensors)
        {
            var measured = sensor.Measures switch
            {
                SensorSubject.LinkQuality => link?.Quality,
                SensorSubject.Strength => link?.Strength,
                SensorSubject.DownLinkQuality => way.At is null ? null : new Reading(Math.Round(down.Value)),
                SensorSubject.Voltage when sensor.MeasuredBy == SensorOrigin.Board => powered < ReportsNothingFor
                && report is not null
                    ? default(Reading)
                    : report?.Voltage,
                SensorSubject.Current => report?.Current,
                SensorSubject.ChargeUsed => report?.Used,
                SensorSubject.Distance => way.At is { } far ? new Reading(far.Distance.Value * 1000) : null,
                SensorSubject.Voltage or SensorSubject.Height or SensorSubject.Satellites or SensorSubject.Other =>
                    null,
            };
            yield return (
                id,
                held.TryGetValue(id, out var byHand) ? byHand
                : measured is { } own ? new Reading(own.Value * sensor.Measures.UnitsPer(sensor.Unit))
                : sensor.Bench
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

    // What the board reports of the battery: hundredths of a volt and tenths of an ampere; where the wire format has a packet for it, in
    // whose tenths, and it is really encoded and decoded.
    private static BatteryReading Reported(WireFormat format, BatteryPicture battery)
    {
        if (!format.Describe().TwoWay)
            return new(
                new(Math.Round(battery.Voltage.Value, 2)),
                new(Math.Round(battery.Current.Value, 1)),
                new(Math.Round(battery.Used.Value))
            );
        Span<byte> bytes = stackalloc byte[DuplexFormat.LongestPacket];
        var length = new BatteryReport(
            (int)Math.Round(battery.Voltage.Value * 10),
            (int)Math.Round(battery.Current.Value * 10),
            (int)Math.Round(battery.Used.Value),
            (int)Math.Round(battery.Left.Value)
        ).Write(bytes);
        var read = BatteryReport.Read(bytes[..length])!;
        return new(new(read.Decivolts / 10.0), new(read.Deciamperes / 10.0), new(read.Used));
    }

    private sealed record BatteryReading(Reading Voltage, Reading Current, Reading Used);
}
