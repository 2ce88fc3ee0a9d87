using System.Globalization;
using System.Text;
using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Craft;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Flights.Invented;

/// <summary>A flight that never was: what our own models of battery and link give for a craft, with throttle and gusts by chance from a
/// seed. It shows how alarms are tuned where no recording is at hand, and says nothing of a real battery.</summary>
public static class InventedFlight
{
    // Twenty rows a second, as a board records.
    private const double Step = 0.05;
    private const double Longest = 900;
    private const double Ground = 4;
    private const double Landed = 6;

    // Farther than anybody should fly: only so the critical moment comes.
    private const double Empty = 0.01;

    // A craft whose battery is not written down flies with one that lasts some minutes.
    private static readonly FlightBattery UsualBattery = new() { Capacity = new(1300), FullCurrent = new(60) };

    /// <summary>The heads of the columns.</summary>
    private const string Heads =
        "time (s),pack (V),current (A),charge used (mAh),throttle (%),link quality (%),strength (dBm),distance (m),height (m)";

    /// <summary>Writes one as a table (RFC 4180).</summary>
    /// <param name="setup">The craft and its link.</param>
    /// <param name="kind">What happens.</param>
    /// <param name="seed">Not 0; the same seed gives the same flight.</param>
    public static string Csv(Setup setup, InventedKind kind, ulong seed)
    {
        var chance = new SeededChance(seed * 0x9E3779B97F4A7C15);
        var model = Battery(setup.Craft, kind);
        var pilot = new InventedPilot(chance, kind);
        var way = new InventedWay(setup.Air, chance, kind);
        var text = new StringBuilder("# An invented flight: no battery and no link was ever like this.\r\n");
        text.Append(Heads).Append("\r\n");
        var (used, current, landed) = (new MilliampHours(0), new Amperes(0), 0.0);
        for (var time = 0.0; landed < Landed; time += Step)
        {
            var flies = time >= Ground && time < Longest && model.Left(used) > Empty && landed <= 0;
            if (!flies && time > Ground)
                landed += Step;
            var throttle = flies ? pilot.Throttle(time) : 0;
            var flows = model.Current(flies ? MotorLevel.Thrust : MotorLevel.Off, new Percent(throttle));
            // Motors need a moment to follow.
            current += new Amperes(0.4 * (flows - current).Value);
            used += BatteryModel.Taken(current, TimeSpan.FromSeconds(Step));
            var volts = time < 0.5 ? 0 : model.Voltage(used, current).Value + ((chance.Next() - 0.5) * 0.04);
            way.Go(flies, Step);
            text.Append(
                CultureInfo.InvariantCulture,
                $"{time:0.00},{Math.Max(0, volts):0.00},{current.Value:0.0},{used.Value:0},{throttle:0},{way.Quality:0},{way.Strength:0},{way.Distance:0},{way.Height:0}\r\n"
            );
        }

        return text.ToString();
    }

    private static BatteryModel Battery(CraftDescription craft, InventedKind kind)
    {
        var own = craft.Battery ?? UsualBattery;
        return new BatteryModel(
            kind == InventedKind.WornBattery
                ? own with
                {
                    Capacity = new MilliampHours(0.7 * own.Capacity.Value),
                    CellResistance = new Milliohms(1.8 * own.CellResistance.Value),
                }
                : own,
            craft.Cells
        );
    }
}
