using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about sensors and the display have in common.</summary>
internal static class SensorFaults
{
    /// <summary>The sensors by id.</summary>
    public static IEnumerable<KeyValuePair<string, Sensor>> Sensors(Setup setup) =>
        setup.Model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal);

    /// <summary>The fix that changes a sensor.</summary>
    public static Fix Changing(Setup setup, string fix, string description, string title, string id, Sensor instead) =>
        new(
            fix,
            description,
            ModelEdits.InModel(setup, title, m => m with { Sensors = m.Sensors.SetItem(id, instead) })
        );
}
