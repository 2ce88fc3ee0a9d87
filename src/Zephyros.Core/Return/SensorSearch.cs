using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Return;

/// <summary>What a search for sensors should find, and what may be behind it when it finds something else.</summary>
/// <remarks>Common practice, no source: a receiver brings about four readings of its own, a board one for each piece of its equipment.</remarks>
public static class SensorSearch
{
    private static readonly SensorSubject[] OfReceiver =
    [
        SensorSubject.LinkQuality,
        SensorSubject.Strength,
        SensorSubject.DownLinkQuality,
        SensorSubject.Voltage,
    ];

    private static readonly SensorSubject[] OfBoard =
    [
        SensorSubject.Voltage,
        SensorSubject.Current,
        SensorSubject.ChargeUsed,
        SensorSubject.Height,
        SensorSubject.Distance,
        SensorSubject.Satellites,
    ];

    /// <summary>What a search should find: the receiver's readings first.</summary>
    public static IReadOnlyList<ExpectedSensor> Expected(Setup setup) =>
        [
            .. OfReceiver.Select(s => One(setup, SensorOrigin.Receiver, s)),
            .. OfBoard
                .Where(s => ReturnPlan.Needs(setup.Board.Equipment, s) is { There: true })
                .Select(s => One(setup, SensorOrigin.Board, s)),
        ];

    /// <summary>The keys of what a search on the bench finds: all that comes as the setup stands.</summary>
    public static IReadOnlyList<string> Simulated(Setup setup)
    {
        var plan = ReturnPlan.Of(setup);
        return
        [
            .. Expected(setup)
                .Where(e => e.Origin == SensorOrigin.Receiver ? setup.Air.Telemetry : plan.BoardObstacle is null)
                .Select(e => e.Key),
        ];
    }

    /// <summary>What may be behind a search that found these, the likeliest first; empty when it found what it should.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="found">The keys of what was found; unknown ones count for nothing.</param>
    /// <param name="others">How many were found besides, which nothing here explains.</param>
    /// <param name="onUsb">True when the craft has its power from USB alone.</param>
    public static IReadOnlyList<ReturnObstacle> Diagnose(
        Setup setup,
        IReadOnlySet<string> found,
        int others,
        bool onUsb = false
    )
    {
        var expected = Expected(setup);
        var missing = expected.Where(e => !found.Contains(e.Key)).ToArray();
        var ofBoard = expected.Where(e => e.Origin == SensorOrigin.Board).ToArray();
        IEnumerable<ReturnObstacle> reasons =
            missing.Length == expected.Count ? Nothing(setup)
            : ofBoard.Length > 0 && ofBoard.All(missing.Contains) ? OnlyOfReceiver(setup)
            : missing.Select(m => Missing(setup, m));
        return
        [
            .. onUsb ? OnUsb(setup) : [],
            .. reasons,
            .. others > 0
                ? new[]
                {
                    new ReturnObstacle(
                        "What is found besides is left from another craft, or a piece that is not written down here: delete it on the transmitter, or tick the equipment.",
                        "/board/equipment",
                        Station.Board
                    ),
                }
                : [],
        ];
    }

    /// <summary>The key of a reading by who measures it.</summary>
    internal static string Key(SensorOrigin origin, SensorSubject subject) => $"{origin}/{subject}".ToLowerInvariant();

    private static ExpectedSensor One(Setup setup, SensorOrigin origin, SensorSubject subject) =>
        new(
            Key(origin, subject),
            subject.Words(origin),
            origin,
            [
                .. setup
                    .Model.Sensors.Where(s => s.Value.Measures == subject && s.Value.MeasuredBy == origin)
                    .Select(s => s.Key)
                    .Order(StringComparer.Ordinal),
            ]
        );

    // Without the flight battery there is nothing to measure; what is read nevertheless is put right at the board, not at the transmitter.
    private static IEnumerable<ReturnObstacle> OnUsb(Setup setup)
    {
        yield return new(
            "The craft has its power from USB alone: receiver and sensors may have none, and the battery's voltage reads 0. Propellers off, connect the flight battery, and search again.",
            "/board/equipment",
            Station.Board
        );
        if (setup.Board.Equipment.CurrentSensor)
            yield return new(
                "Amperes on USB alone mean nothing: a current sensor is calibrated under load, at the board and never at the transmitter.",
                "/board/equipment/currentSensor",
                Station.Board
            );
    }

    private static IEnumerable<ReturnObstacle> Nothing(Setup setup)
    {
        if (!setup.Air.Telemetry)
            yield return new(
                "Telemetry is off here: switch it on, at bind where it is asked there.",
                "/air/telemetry",
                Station.Air
            );
        yield return new(
            "There is no link: is the receiver bound, has it power, does its light say so?",
            "/air/receiver",
            Station.Air
        );
        if (setup.Air.Telemetry)
            yield return new(
                "Telemetry may have been left off when the receiver was bound: bind again with it on.",
                "/air/telemetry",
                Station.Air
            );
        yield return new(
            "The search was ended before anything came: leave it on for ten seconds.",
            "/model/sensors",
            Station.Return
        );
    }

    private static IEnumerable<ReturnObstacle> OnlyOfReceiver(Setup setup)
    {
        var (board, wire) = (setup.Board, setup.Wire.Format.Describe());
        if (ReturnPlan.Of(setup).BoardObstacle is { } obstacle)
            yield return obstacle;
        if (board.Reports is null or ReportWay.OwnWire && !wire.TwoWay)
            yield return new(
                $"The board's telemetry does not arrive. {wire.Name} goes one way only, so it needs a wire of its own, from the transmit pad of a free port to the receiver: is it there?",
                "/board/reports",
                Station.Wire
            );
        if (board.Reports is null or ReportWay.ReceiverWire && wire.TwoWay)
            yield return new(
                "The board's telemetry does not arrive: is the wire from the port's transmit pad to the receiver there, and not swapped?",
                $"/board/ports/{board.ReceiverPort}/pads",
                Station.Wire
            );
        yield return new(
            "Telemetry may be off in the board's settings, or its port set to another format.",
            "/board/reports",
            Station.Board
        );
        yield return new(
            "Some boards report only with the flight battery connected: propellers off, and look again.",
            "/board/equipment",
            Station.Board
        );
    }

    private static ReturnObstacle Missing(Setup setup, ExpectedSensor missing) =>
        missing.Origin == SensorOrigin.Receiver
            ? new(
                $"This receiver does not report {missing.Words}: that is a matter of its make.",
                "/model/sensors",
                Station.Return
            )
            : new(
                $"The board does not report {missing.Words}: the {Piece(setup, missing)} is not there, or not set up.",
                "/board/equipment",
                Station.Board
            );

    private static string Piece(Setup setup, ExpectedSensor missing) =>
        OfBoard
            .Where(s => Key(SensorOrigin.Board, s) == missing.Key)
            .Select(s => ReturnPlan.Needs(setup.Board.Equipment, s)?.Words)
            .FirstOrDefault()
        ?? "piece for it";
}
