using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Model;
using Zephyros.Core.Return;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Return;

/// <summary>What comes back, how often, and why something does not. Common practice, no source: a receiver brings its own readings, a board
/// one for each piece of equipment, as long as it has a way to the receiver.</summary>
public sealed class ReturnPlanTests
{
    private static readonly Setup Duplex = Demo.Sandpiper with
    {
        Wire = Demo.Sandpiper.Wire with { Format = WireFormat.Duplex },
        Board = Demo.Sandpiper.Board with { Reports = ReportWay.ReceiverWire },
    };

    // 100 packets a second go up, one comes down after each eight: 80 ms. The board has four messages in turn.
    [Theory]
    [InlineData("quality", 80)]
    [InlineData("voltage", 320)]
    [InlineData("height", 320)]
    [InlineData("distance", 320)]
    public void A_reading_is_as_old_as_its_turn_is_far(string sensor, double every) =>
        Assert.Equal(every, ReturnPlan.Of(Demo.Sandpiper).Sensors[sensor].Every!.Value.Value, 9);

    [Fact]
    public void Each_piece_of_equipment_brings_a_message_and_takes_a_turn()
    {
        var none = Demo.Sandpiper.WithBoard(b => b with { Equipment = new BoardEquipment() });
        Assert.Equal([ReturnMessage.State], ReturnPlan.Of(none).BoardMessages);
        var some = none.WithBoard(b =>
            b with
            {
                Equipment = new() { CurrentSensor = true, PositionReceiver = true },
            }
        );
        var plan = ReturnPlan.Of(some);
        Assert.Equal([ReturnMessage.State, ReturnMessage.Battery, ReturnMessage.Position], plan.BoardMessages);
        Assert.Equal(
            [ReturnMessage.State, ReturnMessage.Battery, ReturnMessage.Position, ReturnMessage.State],
            Enumerable.Range(0, 4).Select(i => plan.At(i)!.Value)
        );
        // The current sensor measures no voltage.
        Assert.Equal("/board/equipment/divider", plan.Sensors["voltage"].Obstacle!.Place);
        Assert.True(plan.Sensors["current"].Comes);
        Assert.Equal("/board/equipment/barometer", plan.Sensors["height"].Obstacle!.Place);
    }

    [Theory]
    [InlineData(WireFormat.Packed16, ReportWay.OwnWire, PortPads.ReceiveOnly, "")]
    [InlineData(WireFormat.Packed16, null, PortPads.Both, "")]
    [InlineData(WireFormat.Packed16, ReportWay.ReceiverWire, PortPads.Both, "/board/reports")]
    [InlineData(WireFormat.Duplex, ReportWay.ReceiverWire, PortPads.Both, "")]
    [InlineData(WireFormat.Duplex, ReportWay.ReceiverWire, PortPads.ReceiveOnly, "/board/ports/port-2/pads")]
    [InlineData(WireFormat.Duplex, ReportWay.Off, PortPads.Both, "/board/reports")]
    public void The_board_needs_a_way_to_the_receiver(WireFormat format, ReportWay? way, PortPads pads, string place)
    {
        var setup = (Demo.Sandpiper with { Wire = Demo.Sandpiper.Wire with { Format = format } }).WithBoard(b =>
            b with
            {
                Reports = way,
                Ports = b.Ports.Set("port-2", p => p with { Pads = pads }),
            }
        );
        var plan = ReturnPlan.Of(setup);
        Assert.Equal(place, plan.BoardObstacle?.Place ?? "");
        Assert.Equal(place.Length == 0, plan.Sensors["voltage"].Comes);
        // What the receiver measures comes all the same.
        Assert.True(plan.Sensors["quality"].Comes);
        // In the board there is no wire.
        var inBoard = setup.WithAir(a => a with { Receiver = a.Receiver with { InBoard = true } });
        Assert.Equal(way == ReportWay.Off, ReturnPlan.Of(inBoard).BoardObstacle is not null);
    }

    [Fact]
    public void Without_telemetry_nothing_comes_but_what_the_transmitter_measures()
    {
        var setup = Demo
            .Sandpiper.WithAir(a => a with { Telemetry = false })
            .InModel(m =>
                m with
                {
                    Sensors = m.Sensors.Set("height", s => s with { Origin = SensorOrigin.Transmitter }),
                }
            );
        var plan = ReturnPlan.Of(setup);
        Assert.Equal(["height"], plan.Sensors.Where(s => s.Value.Comes).Select(s => s.Key));
        var bench = new BenchRun(setup);
        bench.Report("height", new Reading(30));
        Assert.Equal(30, bench.ReadingOf("height"));
    }

    [Fact]
    public void On_the_bench_nothing_comes_of_a_board_that_has_no_way()
    {
        var bench = new BenchRun(Demo.Sandpiper.WithBoard(b => b with { Reports = ReportWay.Off }));
        bench.AdvanceTo(TimeSpan.FromSeconds(3));
        bench.Move("left-shoulder", 2);
        bench.AdvanceTo(TimeSpan.FromSeconds(6));
        var sensors = bench.Snapshot("throttle").Sensors;
        Assert.Equal(["quality"], sensors.Where(s => s.Value.HeardAt is not null).Select(s => s.Key));
        Assert.DoesNotContain(bench.Log.After(0), e => e.Kind == LogKind.Said);
    }

    [Fact]
    public void A_search_that_finds_all_says_nothing_and_the_bench_finds_what_comes()
    {
        var expected = SensorSearch.Expected(Demo.Sandpiper);
        Assert.Equal(10, expected.Count);
        Assert.Equal(expected.Select(e => e.Key), SensorSearch.Simulated(Demo.Sandpiper));
        Assert.Empty(SensorSearch.Diagnose(Demo.Sandpiper, expected.Select(e => e.Key).ToHashSet(), 0));
        var off = Demo.Sandpiper.WithBoard(b => b with { Reports = ReportWay.Off });
        Assert.All(SensorSearch.Simulated(off), key => Assert.StartsWith("receiver/", key, StringComparison.Ordinal));
        Assert.Empty(SensorSearch.Simulated(Demo.Sandpiper.WithAir(a => a with { Telemetry = false })));
    }

    // Nothing at all: no link, or telemetry off at bind. Only the receiver's: the board's does not arrive. One: no such piece.
    [Fact]
    public void What_is_missing_says_where_to_look_first()
    {
        string[] Places(Setup setup, int others, Func<ExpectedSensor, bool> found) =>
            [
                .. SensorSearch
                    .Diagnose(
                        setup,
                        SensorSearch.Expected(setup).Where(found).Select(e => e.Key).ToHashSet(StringComparer.Ordinal),
                        others
                    )
                    .Select(r => r.Place),
            ];
        Assert.Equal("/air/receiver", Places(Demo.Sandpiper, 0, _ => false)[0]);
        Assert.Equal(
            "/air/telemetry",
            Places(Demo.Sandpiper.WithAir(a => a with { Telemetry = false }), 0, _ => false)[0]
        );
        bool OfReceiver(ExpectedSensor e) => e.Origin == SensorOrigin.Receiver;
        Assert.Equal(["/board/reports", "/board/reports", "/board/equipment"], Places(Demo.Sandpiper, 0, OfReceiver));
        Assert.Equal("/board/ports/port-2/pads", Places(Duplex, 0, OfReceiver)[0]);
        Assert.Equal(["/board/equipment"], Places(Demo.Sandpiper, 0, e => e.Key != "board/height"));
        Assert.Equal(["/model/sensors"], Places(Demo.Sandpiper, 0, e => e.Key != "receiver/voltage"));
        Assert.Equal(["/board/equipment"], Places(Demo.Sandpiper, 1, _ => true));
    }

    [Fact]
    public void On_usb_alone_the_battery_is_missed_first_and_amperes_mean_nothing()
    {
        var all = SensorSearch.Expected(Demo.Sandpiper).Select(e => e.Key).ToHashSet(StringComparer.Ordinal);
        var said = SensorSearch.Diagnose(Demo.Sandpiper, all, 0, onUsb: true);
        Assert.Equal(["/board/equipment", "/board/equipment/currentSensor"], said.Select(r => r.Place));
        var without = Demo.Sandpiper.WithBoard(b => b with { Equipment = b.Equipment with { CurrentSensor = false } });
        Assert.Single(SensorSearch.Diagnose(without, all, 0, onUsb: true), r => r.Place == "/board/equipment");
    }

    [Fact]
    public void A_list_as_a_transmitter_shows_it_is_read_by_words_and_units()
    {
        var read = SensorListing.Read(
            Demo.Sandpiper,
            "Quality 98%|Strength -62dBm|| Receiver 5.0V|Pack 24.6V|Current 0.4A|Used 12mAh|Alt 3 m|Pack 24.5V|Fuel|<b>Sats</b> 9".Split(
                '|'
            )
        );
        Assert.Equal(
            [
                "receiver/linkquality",
                "receiver/strength",
                "receiver/voltage",
                "board/voltage",
                "board/current",
                "board/chargeused",
                "board/height",
                "board/satellites",
            ],
            read.Found
        );
        Assert.Equal(["Pack 24.5V", "Fuel"], read.Others);
        Assert.Empty(SensorListing.Read(Demo.Sandpiper, [" ", "\t"]).Others);
        var many = Enumerable.Repeat("Fuel", 2 * SensorListing.MostLines);
        Assert.Equal(SensorListing.MostLines, SensorListing.Read(Demo.Sandpiper, many).Others.Count);
    }
}
