using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>What the rules about sensors and the display have in common.</summary>
internal static class SensorFaults
{
    /// <summary>The sensors by id.</summary>
    public static IEnumerable<KeyValuePair<string, Sensor>> Sensors(Setup setup) =>
        setup.Model.Sensors.OrderBy(s => s.Key, StringComparer.Ordinal);

    /// <summary>A finding about a sensor.</summary>
    public static Finding About(
        string rule,
        string id,
        string member,
        string title,
        string what,
        string why,
        IReadOnlyList<Fix> fixes
    ) =>
        new()
        {
            Key = $"{rule}:{id}",
            Severity = Severity.Caution,
            Station = Station.Return,
            Place = $"/model/sensors/{id}{member}",
            Title = title,
            What = what,
            Why = why,
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes = fixes,
        };

    /// <summary>The fix that changes a sensor.</summary>
    public static Fix Changing(Setup setup, string fix, string description, string title, string id, Sensor instead) =>
        new(
            fix,
            description,
            ModelEdits.InModel(setup, title, m => m with { Sensors = m.Sensors.SetItem(id, instead) })
        );
}
