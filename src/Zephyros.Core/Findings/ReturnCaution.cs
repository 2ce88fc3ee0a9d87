using Zephyros.Core.Units;

namespace Zephyros.Core.Findings;

/// <summary>What deserves a second look on the way back, as the trade knows it: sensors, voice, timers, goggles.</summary>
internal static class ReturnCaution
{
    /// <summary>A finding that may be justified.</summary>
    public static Finding Of(
        string key,
        string place,
        string title,
        string what,
        string why,
        params IReadOnlyList<Fix> fixes
    ) =>
        new()
        {
            Key = key,
            Severity = Severity.Caution,
            Station = Station.Return,
            Place = place,
            Title = title,
            What = what,
            Why = why,
            Provenance = Provenance.Practice(),
            MayBeJustified = true,
            Fixes = fixes,
        };
}
