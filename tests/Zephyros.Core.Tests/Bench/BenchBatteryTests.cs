using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Tests.Bench;

/// <summary>The battery on the bench, what comes back of it, and the alarm that speaks of it.</summary>
public sealed class BenchBatteryTests
{
    private static readonly BatteryModel Sandpiper = BatteryModel.Of(Demo.Sandpiper.Craft)!;

    // The channel order is right: the throttle stick drives the motors.
    private static BenchRun Armed(Setup setup, double throttle)
    {
        var bench = new BenchRun(setup);
        Pass(bench, 3);
        bench.Move("left-shoulder", 2);
        Pass(bench, 1);
        Assert.True(bench.Board.Armed);
        bench.Move("throttle", throttle);
        Pass(bench, 0.1);
        return bench;
    }

    private static void Pass(BenchRun bench, double seconds) =>
        bench.AdvanceTo(bench.Now + TimeSpan.FromSeconds(seconds));

    private static BatteryPicture Battery(BenchRun bench) => bench.Snapshot("throttle").Battery!;

    [Fact]
    public void Charge_goes_out_as_long_as_current_flows()
    {
        var bench = Armed(Demo.Clean, 20);
        var before = Battery(bench);
        Assert.True(before.Current.Value > 20, $"{before.Current}");
        Pass(bench, 36);
        // A hundredth of an hour, whatever pictures were taken meanwhile.
        Assert.Equal(before.Current.Value * 10, (Battery(bench).Used - before.Used).Value, 3);
        var whole = Armed(Demo.Clean, 20);
        for (var i = 0; i < 360; i++)
        {
            Pass(whole, 0.1);
            _ = Battery(whole);
        }

        Assert.Equal(Battery(bench).Used.Value, Battery(whole).Used.Value, 6);
        // Off, nothing flows.
        bench.SetPower(false);
        var off = Battery(bench).Used;
        Pass(bench, 100);
        Assert.Equal(off, Battery(bench).Used);
    }

    // Ohm's law: the fall between rest and load is the current times the resistance of all cells.
    [Fact]
    public void A_burst_sags_by_current_times_resistance_and_recovers()
    {
        var bench = Armed(Demo.Clean, -100);
        bench.PutBattery(new Percent(50));
        var rest = Battery(bench);
        bench.Move("throttle", 100);
        Pass(bench, 0.1);
        var burst = Battery(bench);
        Assert.Equal((burst.Current - rest.Current).Value * 6 * 0.005, (rest.Voltage - burst.Voltage).Value, 2);
        Assert.Equal(
            5,
            FlightBattery.ResistanceOf((rest.Voltage, rest.Current), (burst.Voltage, burst.Current), 6)!.Value.Value,
            1
        );
        bench.Move("throttle", -100);
        Pass(bench, 0.1);
        Assert.Equal(rest.Voltage.Value, Battery(bench).Voltage.Value, 1);
    }

    // Charge is current times time: two seconds of what flows at full throttle.
    [Fact]
    public void A_burst_on_the_bench_loads_the_battery_and_turns_nothing()
    {
        var bench = new BenchRun(Demo.Clean);
        Pass(bench, 1);
        var before = Battery(bench);
        Assert.True(bench.Burst());
        Pass(bench, 1);
        Assert.True(Battery(bench).Current.Value > Demo.Clean.Craft.Battery!.FullCurrent.Value);
        Assert.Equal(MotorLevel.Off, bench.Board.Motors);
        var current = Battery(bench).Current.Value;
        var other = bench.Fork();
        foreach (var run in new[] { bench, other })
        {
            Pass(run, 1.5);
            Assert.Equal(before.Current, Battery(run).Current);
            Assert.Equal(
                before.Used.Value + ((current * 2) + (before.Current.Value * 0.5)) / 3.6,
                Battery(run).Used.Value,
                6
            );
        }

        bench.SetPower(false);
        Assert.False(bench.Burst());
    }

    [Fact]
    public void A_board_reports_no_voltage_at_first_and_it_is_no_lowest()
    {
        var bench = new BenchRun(Demo.Sandpiper);
        Pass(bench, 2);
        bench.SetPower(false);
        Pass(bench, 2);
        bench.SetPower(true);
        // Packets each 80 ms; the battery's are the second of four, at 4080, 4400 and 4720 ms.
        bench.AdvanceTo(TimeSpan.FromMilliseconds(4400));
        Assert.Equal(0, bench.ReadingOf("voltage"));
        bench.AdvanceTo(TimeSpan.FromMilliseconds(4720));
        Assert.Equal(25.2, bench.ReadingOf("voltage"));
        Assert.Equal(new Reading(25.2), bench.Snapshot("throttle").Sensors["voltage"].Lowest);
    }

    [Fact]
    public void What_is_held_stays_until_it_is_let_go_and_extremes_begin_anew()
    {
        var bench = new BenchRun(Demo.Sandpiper);
        bench.Report("voltage", new Reading(21.55));
        Pass(bench, 1);
        var known = bench.Snapshot("throttle").Sensors["voltage"];
        Assert.Equal(("21.6 V", true), (known.Words, known.Held));
        Assert.True(bench.Release("voltage"));
        Assert.False(bench.Release("nobody"));
        Pass(bench, 1);
        known = bench.Snapshot("throttle").Sensors["voltage"];
        Assert.Equal(("25.2 V", false), (known.Words, known.Held));
        Assert.Equal((new Reading(21.6), new Reading(25.2)), (known.Lowest!.Value, known.Highest!.Value));
        bench.ResetExtremes();
        Assert.Null(bench.Snapshot("throttle").Sensors["voltage"].Lowest);
        Pass(bench, 1);
        Assert.Equal(new Reading(25.2), bench.Snapshot("throttle").Sensors["voltage"].Lowest);
    }

    // Where the format has a packet for the battery it is told in tenths, and so is the current.
    [Fact]
    public void Duplex_tells_tenths()
    {
        var duplex = (Demo.Sandpiper with { Wire = Demo.Sandpiper.Wire with { Format = WireFormat.Duplex } }).InModel(
            m => m with { Sensors = m.Sensors.Set("voltage", s => s with { Decimals = null }) }
        );
        var bench = new BenchRun(duplex);
        bench.PutBattery(new Percent(53));
        Pass(bench, 2);
        var told = bench.ReadingOf("voltage");
        Assert.Equal(Math.Round(Battery(bench).Voltage.Value, 1), told, 9);
        Assert.NotEqual(Battery(bench).Voltage.Value, told, 4);
    }

    // International foot: 0.3048 m exactly (NIST SP 811, appendix B.8). 40 m are 131.2 ft; the handheld rule 3.28084 ft a metre agrees.
    [Fact]
    public void A_sensor_in_feet_tells_feet()
    {
        var feet = Demo.Sandpiper.InModel(m =>
            m with
            {
                Sensors = m.Sensors.Set("distance", s => s with { Unit = "ft", Highest = new(20_000), Decimals = 1 }),
            }
        );
        var bench = new BenchRun(feet);
        bench.SetDistance(new Kilometres(0.04));
        Pass(bench, 2);
        Assert.Equal(131.2, bench.ReadingOf("distance"));
        Assert.Equal(3.28084, SensorSubject.Height.UnitsPer("ft"), 5);
    }

    // Below 22.2 V for 3 s, said every 4 s with its value; over above 22.8 V; a burst is waited out; the 0 V of power-up are no battery.
    [Fact]
    public void The_alarm_waits_out_a_burst_speaks_the_value_and_is_over_when_telemetry_is_lost()
    {
        var bench = Armed(Demo.Clean, -100);
        bench.PutBattery(new Percent(30));
        bench.Move("throttle", 100);
        Pass(bench, 2);
        bench.Move("throttle", -100);
        Pass(bench, 4);
        Assert.DoesNotContain(Said(bench), s => s.StartsWith("Battery", StringComparison.Ordinal));
        bench.PutBattery(new Percent(10));
        bench.Move("throttle", -20);
        Pass(bench, 12);
        var spoken = Said(bench).Where(s => s.StartsWith("Battery", StringComparison.Ordinal)).ToArray();
        Assert.InRange(spoken.Length, 2, 3);
        Assert.Matches(@"^Battery 2\d(\.\d)? volts$", spoken[0]);
        bench.SetTelemetry(false);
        Pass(bench, 3);
        var count = Said(bench).Count;
        Pass(bench, 20);
        Assert.Equal(count, Said(bench).Count);
    }

    [Fact]
    public void No_battery_is_written_down_and_none_can_be_put()
    {
        var setup = Demo.Sandpiper with { Craft = Demo.Sandpiper.Craft with { Battery = null } };
        var bench = new BenchRun(setup);
        Assert.False(bench.PutBattery(new Percent(50)));
        Assert.Null(bench.Snapshot("throttle").Battery);
        Pass(bench, 2);
        Assert.Equal(setup.Model.Sensors["voltage"].Bench.Value, bench.ReadingOf("voltage"));
        Assert.False(new BenchRun(Demo.Sandpiper).PutBattery(new Percent(101)));
        Assert.False(new BenchRun(Demo.Sandpiper).PutBattery(new Percent(double.NaN)));
    }

    // 3 % of 90 A at idle and 90 A at full throttle, with its square between, and 0.4 A for everything else.
    [Theory]
    [InlineData(0, 3.1)]
    [InlineData(50, 24.925)]
    [InlineData(100, 90.4)]
    public void Current_rises_with_the_square_of_the_throttle(double throttle, double current) =>
        Assert.Equal(current, Sandpiper.Current(MotorLevel.Thrust, new Percent(throttle)).Value, 6);

    private static List<string> Said(BenchRun bench) =>
        [.. bench.Log.After(0).Where(e => e.Kind == LogKind.Said).Select(e => e.Text)];
}
