using Zephyros.Core.Air;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Return;

/// <summary>What comes back from a craft, in which messages and how often; and what does not, and why.</summary>
/// <remarks>A packet of telemetry comes after every so many that go up. Each brings what the receiver measures of the link and one
/// message of the board, whose messages take turns; that link readings ride along is our own assumption.</remarks>
public sealed class ReturnPlan
{
    [Figure(
        Station.Air,
        "Telemetry comes, where the link does not say after how many packets, every",
        ProvenanceKind.OwnAssumption
    )]
    private static readonly TimeSpan UsualInterval = TimeSpan.FromMilliseconds(100);

    [Figure(Station.Air, "A transmitter misses telemetry without a packet for, at least", ProvenanceKind.OwnAssumption)]
    private static readonly TimeSpan ShortestMiss = TimeSpan.FromSeconds(1);

    [Figure(Station.Air, "A transmitter misses telemetry without so many packets", ProvenanceKind.OwnAssumption)]
    private const int MissedPackets = 3;

    private ReturnPlan(Setup setup)
    {
        Interval = IntervalOf(setup.Air);
        var link = LinkObstacle(setup);
        BoardObstacle = link ?? ReportObstacle(setup);
        BoardMessages = BoardObstacle is null ? [.. Reported(setup.Board.Equipment)] : [];
        Sensors = setup.Model.Sensors.ToDictionary(
            s => s.Key,
            s => WayOf(setup, s.Value, link),
            StringComparer.Ordinal
        );
    }

    /// <summary>How far packets of telemetry are apart when none is lost.</summary>
    public TimeSpan Interval { get; }

    /// <summary>What the board sends, in its order; empty when nothing of it comes.</summary>
    public IReadOnlyList<ReturnMessage> BoardMessages { get; }

    /// <summary>Why nothing of the board comes to the transmitter, its own state included; null when it does.</summary>
    public ReturnObstacle? BoardObstacle { get; }

    /// <summary>How the readings of each sensor of the model come, by its id.</summary>
    public IReadOnlyDictionary<string, SensorWay> Sensors { get; }

    /// <summary>What comes back with a setup.</summary>
    public static ReturnPlan Of(Setup setup) => new(setup);

    /// <summary>How far packets of telemetry are apart on a link.</summary>
    public static TimeSpan IntervalOf(LinkSettings link) =>
        link.TelemetryEvery is { } every
            ? TimeSpan.FromTicks((long)(TimeSpan.TicksPerSecond * every / link.PacketRate.Value))
            : UsualInterval;

    /// <summary>Without a packet for so long a transmitter misses telemetry.</summary>
    /// <param name="interval">How far packets are apart when none is lost.</param>
    public static TimeSpan MissedAfter(TimeSpan interval) =>
        TimeSpan.FromTicks(Math.Max((MissedPackets * interval).Ticks, ShortestMiss.Ticks));

    /// <summary>The message of the board that a packet brings; null when the board sends none.</summary>
    /// <param name="turn">The number of the packet, 0 for the first.</param>
    public ReturnMessage? At(long turn) =>
        BoardMessages.Count == 0 ? null : BoardMessages[(int)(turn % BoardMessages.Count)];

    /// <summary>The piece of equipment without which the board cannot measure something, its words and its member; null when it needs none.</summary>
    public static (string Words, string Member, bool There)? Needs(BoardEquipment equipment, SensorSubject subject) =>
        subject switch
        {
            SensorSubject.Voltage => ("divider on the battery's leads", "divider", equipment.Divider),
            SensorSubject.Current or SensorSubject.ChargeUsed => (
                "current sensor",
                "currentSensor",
                equipment.CurrentSensor
            ),
            SensorSubject.Height => ("barometer", "barometer", equipment.Barometer),
            SensorSubject.Distance or SensorSubject.Satellites => (
                "position receiver",
                "positionReceiver",
                equipment.PositionReceiver
            ),
            SensorSubject.Other
            or SensorSubject.LinkQuality
            or SensorSubject.Strength
            or SensorSubject.DownLinkQuality => null,
        };

    /// <summary>The equipment with the piece that a reading needs.</summary>
    public static BoardEquipment With(BoardEquipment equipment, SensorSubject subject) =>
        subject switch
        {
            SensorSubject.Voltage => equipment with { Divider = true },
            SensorSubject.Current or SensorSubject.ChargeUsed => equipment with { CurrentSensor = true },
            SensorSubject.Height => equipment with { Barometer = true },
            SensorSubject.Distance or SensorSubject.Satellites => equipment with { PositionReceiver = true },
            SensorSubject.Other
            or SensorSubject.LinkQuality
            or SensorSubject.Strength
            or SensorSubject.DownLinkQuality => equipment,
        };

    private static IEnumerable<ReturnMessage> Reported(BoardEquipment equipment)
    {
        yield return ReturnMessage.State;
        if (equipment.Divider || equipment.CurrentSensor)
            yield return ReturnMessage.Battery;
        if (equipment.Barometer)
            yield return ReturnMessage.Height;
        if (equipment.PositionReceiver)
            yield return ReturnMessage.Position;
    }

    private static ReturnObstacle? LinkObstacle(Setup setup) =>
        setup.Air.Telemetry
            ? null
            : new("The link brings no telemetry: it is off, here or at bind.", "/air/telemetry", Station.Air);

    private static ReturnObstacle? ReportObstacle(Setup setup)
    {
        var wire = setup.Wire.Format.Describe();
        var port = setup.Board.Ports[setup.Board.ReceiverPort];
        return setup.Board.Reports switch
        {
            ReportWay.Off => new("The board's telemetry is off.", "/board/reports", Station.Board),
            ReportWay.ReceiverWire when !wire.TwoWay && !setup.Air.Receiver.InBoard => new(
                $"The board is to report over the receiver's wire, and {wire.Name} goes one way only.",
                "/board/reports",
                Station.Wire
            ),
            ReportWay.ReceiverWire when port.Pads == PortPads.ReceiveOnly && !setup.Air.Receiver.InBoard => new(
                $"The board is to report over the receiver's wire, and the transmit pad of {port.Label} cannot be reached.",
                $"/board/ports/{setup.Board.ReceiverPort}/pads",
                Station.Wire
            ),
            ReportWay.ReceiverWire or ReportWay.OwnWire or null => null,
        };
    }

    private SensorWay WayOf(Setup setup, Sensor sensor, ReturnObstacle? link)
    {
        switch (sensor.MeasuredBy)
        {
            case SensorOrigin.Transmitter:
                return new(SensorOrigin.Transmitter, null, null, null);
            case SensorOrigin.Receiver:
                return new(
                    SensorOrigin.Receiver,
                    ReturnMessage.Link,
                    link is null ? In(1) : null,
                    link ?? NotOfReceiver(sensor)
                );
            case SensorOrigin.Board:
                var obstacle = BoardObstacle ?? Unequipped(setup.Board.Equipment, sensor.Measures);
                return new(
                    SensorOrigin.Board,
                    MessageOf(sensor.Measures),
                    obstacle is null ? In(BoardMessages.Count) : null,
                    obstacle
                );
            default:
                throw new ArgumentOutOfRangeException(nameof(sensor));
        }
    }

    // A receiver knows the link, what feeds it, and nothing of the craft.
    private static ReturnObstacle? NotOfReceiver(Sensor sensor) =>
        sensor.Measures
            is SensorSubject.Current
                or SensorSubject.ChargeUsed
                or SensorSubject.Height
                or SensorSubject.Distance
                or SensorSubject.Satellites
            ? new(
                $"A receiver does not measure {sensor.Measures.Words(SensorOrigin.Receiver)}: the board does.",
                "/model/sensors",
                Station.Return
            )
            : null;

    private static ReturnObstacle? Unequipped(BoardEquipment equipment, SensorSubject subject) =>
        Needs(equipment, subject) is { There: false } needed
            ? new($"The board has no {needed.Words}.", $"/board/equipment/{needed.Member}", Station.Board)
            : null;

    private static ReturnMessage MessageOf(SensorSubject subject) =>
        subject switch
        {
            SensorSubject.Voltage or SensorSubject.Current or SensorSubject.ChargeUsed => ReturnMessage.Battery,
            SensorSubject.Height => ReturnMessage.Height,
            SensorSubject.Distance or SensorSubject.Satellites => ReturnMessage.Position,
            SensorSubject.Other
            or SensorSubject.LinkQuality
            or SensorSubject.Strength
            or SensorSubject.DownLinkQuality => ReturnMessage.State,
        };

    private Milliseconds In(int turns) => new((Interval * turns).TotalMilliseconds);
}
