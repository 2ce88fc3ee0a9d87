using MathNet.Numerics.Integration;
using Zephyros.Core.Craft;
using Zephyros.Core.Return;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>The battery against sums by hand and a general numeric library.</summary>
public sealed class BatteryTests
{
    private static readonly FlightBattery Pack = new()
    {
        Capacity = new(2000),
        CellResistance = new(10),
        FullCurrent = new(80),
    };

    // Common practice, no source: four cells full 16.8 V; 3.4 V a cell are 13.6 V, 1.5 V a cell 6 V.
    [Fact]
    public void Four_cells_as_the_trade_knows_them()
    {
        Assert.Equal(16.8, 4 * CellVoltages.Full(CellChemistry.LithiumPolymer).Value, 9);
        Assert.Equal(17.4, 4 * CellVoltages.Full(CellChemistry.HighVoltagePolymer).Value, 9);
        Assert.Equal(13.6, 4 * CellVoltages.Land(CellChemistry.LithiumPolymer).Value, 9);
        Assert.Equal(6, 4 * CellVoltages.Mask.Value, 9);
        Assert.Equal(16.8, new BatteryModel(Pack, 4).Voltage(new(0), new(0)).Value, 9);
    }

    // By hand: 4 × (rest − 20 A × 10 mΩ) = 4 × rest − 0.8 V. And back again: 0.8 V over 20 A by four cells are 10 mΩ (Ohm's law).
    [Fact]
    public void Sag_is_current_times_resistance()
    {
        var model = new BatteryModel(Pack, 4);
        var (rest, load) = (model.Voltage(new(700), new(0)), model.Voltage(new(700), new(20)));
        Assert.Equal(0.8, (rest - load).Value, 9);
        Assert.Equal(10, FlightBattery.ResistanceOf((rest, new(0)), (load, new(20)), 4)!.Value.Value, 9);
        Assert.Null(FlightBattery.ResistanceOf((rest, new(20)), (load, new(20)), 4));
        Assert.Null(FlightBattery.ResistanceOf((load, new(0)), (rest, new(20)), 4));
    }

    // A cell falls as it empties, from full to empty, and never jumps.
    [Theory]
    [InlineData(CellChemistry.LithiumPolymer)]
    [InlineData(CellChemistry.HighVoltagePolymer)]
    [InlineData(CellChemistry.LithiumIon)]
    public void A_cell_falls_as_it_empties(CellChemistry chemistry)
    {
        Assert.Equal(CellVoltages.Full(chemistry), CellVoltages.Rest(chemistry, 1));
        Assert.Equal(CellVoltages.Full(chemistry), CellVoltages.Rest(chemistry, 1.5));
        Assert.Equal(CellVoltages.Rest(chemistry, 0), CellVoltages.Rest(chemistry, -1));
        for (var i = 1; i <= 1000; i++)
            Assert.InRange(
                CellVoltages.Rest(chemistry, i / 1000.0).Value - CellVoltages.Rest(chemistry, (i - 1) / 1000.0).Value,
                0.0001,
                0.01
            );
    }

    // The energy of a discharge at a constant current: what the library integrates over the voltage, and the sum over small pieces.
    [Fact]
    public void A_discharge_gives_the_energy_that_a_numeric_library_integrates()
    {
        var model = new BatteryModel(Pack, 4);
        var current = new Amperes(12);
        var hours = Pack.Capacity.Value / 1000 / current.Value;
        double Voltage(double t) => model.Voltage(BatteryModel.Taken(current, TimeSpan.FromHours(t)), current).Value;
        var library = GaussLegendreRule.Integrate(t => Voltage(t) * current.Value, 0, hours, 256);
        var sum = 0.0;
        const int Pieces = 20_000;
        for (var i = 0; i < Pieces; i++)
            sum += Voltage((i + 0.5) * hours / Pieces) * current.Value * hours / Pieces;
        Assert.Equal(library, sum, 0.01);
        Assert.InRange(library, 2 * 13.0, 2 * 16.0);
    }

    // By hand: 600 m against 10 − 4 m/s are 100 s, 40 m at 2 m/s are 20 s, and 30 s are left: 150 s at 12 A are 500 mAh, a quarter.
    [Fact]
    public void The_way_home_by_hand()
    {
        var craft = new CraftDescription
        {
            Name = "By hand",
            Cells = 4,
            Battery = Pack,
            WayHome = new WayHome
            {
                Distance = new(600),
                Speed = new(10),
                Wind = new(4),
                Height = new(40),
                Descent = new(2),
                Reserve = new(30_000),
                Current = new(12),
            },
        };
        var lead = NeededLead.Of(craft)!;
        Assert.Equal(150, lead.Time.TotalSeconds, 9);
        Assert.Equal(500, lead.Charge.Value, 6);
        Assert.Equal(25, lead.Share.Value, 9);
        // A quarter left: 3.75 V at rest by the curve, less 0.12 V.
        Assert.Equal(4 * (3.75 - 0.12), lead.Voltage.Value, 6);
        var model = new BatteryModel(Pack, 4);
        Assert.Equal(0.25, NeededLead.LeftAt(model, lead.Voltage, new(12)), 5);
        Assert.Equal(1, NeededLead.LeftAt(model, new(17), new(12)));
        Assert.Equal(0, NeededLead.LeftAt(model, new(8), new(12)));
        Assert.Null(NeededLead.Of(craft with { WayHome = craft.WayHome with { Wind = new(10) } }));
        Assert.Null(NeededLead.Of(craft with { Battery = null }));
    }
}
