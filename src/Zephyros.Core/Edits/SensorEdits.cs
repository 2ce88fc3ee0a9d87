using Zephyros.Core.Model;
using Zephyros.Core.Model.Logic;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Edits;

/// <summary>Edits of sensors. Each is a pure function of the setup.</summary>
public static class SensorEdits
{
    // Nothing that a transmitter keeps is finer.
    private const int Decimals = 6;

    /// <summary>Puts a sensor into another unit, and with it everything that is written in it: limits, the ends of its gauge, what it can
    /// mean. Where either unit is not understood, only the unit's name changes.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="id">The sensor's id.</param>
    /// <param name="unit">The unit.</param>
    public static SetupEdit InUnit(Setup setup, string id, string unit)
    {
        var (model, sensor) = (setup.Model, setup.Model.Sensors[id]);
        var factor =
            sensor.Measures.Understands(sensor.Unit) && sensor.Measures.Understands(unit)
                ? sensor.Measures.UnitsPer(unit) / sensor.Measures.UnitsPer(sensor.Unit)
                : 1;
        Reading In(Reading reading) => new(Math.Round(reading.Value * factor, Decimals));
        Test Limit(Test was, Test now) =>
            was is SensorTest asks && asks.Sensor == id ? asks with { Limit = In(asks.Limit) } : now;
        var asking = model
            .Conditions.Where(c => TestTrees.SensorTests(c.Value.Test).Any(t => t.Sensor == id))
            .ToArray();
        return SetupEdit.Between(
            $"{sensor.Label} in {unit}",
            setup,
            setup with
            {
                Model = model with
                {
                    Sensors = model.Sensors.SetItem(
                        id,
                        sensor with
                        {
                            Unit = unit,
                            Lowest = In(sensor.Lowest),
                            Highest = In(sensor.Highest),
                            Bench = In(sensor.Bench),
                            Accuracy = sensor.Accuracy is { } accuracy ? In(accuracy) : null,
                            Gauge = sensor.Gauge is { } gauge
                                ? gauge with
                                {
                                    From = In(gauge.From),
                                    To = In(gauge.To),
                                }
                                : null,
                        }
                    ),
                    Conditions = model.Conditions.SetItems(
                        asking.Select(c =>
                            KeyValuePair.Create(c.Key, c.Value with { Test = TestTrees.Rebuild(c.Value.Test, Limit) })
                        )
                    ),
                    Raised = model.Raised.SetItems(
                        asking
                            .Where(c => model.Raised.ContainsKey(c.Key))
                            .Select(c => KeyValuePair.Create(c.Key, In(model.Raised[c.Key])))
                    ),
                },
            }
        );
    }
}
