using System.Collections.Frozen;

namespace Zephyros.Core.Setups;

/// <summary>The members of a setup whose own members are ids.</summary>
public static class SetupCollections
{
    /// <summary>Their names as they stand in a document.</summary>
    public static FrozenSet<string> Names { get; } =
        FrozenSet.Create(
            StringComparer.Ordinal,
            "controls",
            "channels",
            "steps",
            "values",
            "trims",
            "conditions",
            "overrides",
            "announcements",
            "states",
            "sensors",
            "timers",
            "raised",
            "items",
            "modules",
            "ports",
            "functions",
            "justified"
        );
}
