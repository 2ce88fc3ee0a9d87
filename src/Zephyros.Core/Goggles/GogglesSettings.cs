using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Goggles;

/// <summary>What the board draws over the picture in the goggles, and what it warns of there.</summary>
public sealed record GogglesSettings
{
    /// <summary>The items by id.</summary>
    [Description("The items by id.")]
    public ImmutableDictionary<string, GogglesItem> Items { get; init; } =
        ImmutableDictionary<string, GogglesItem>.Empty;

    /// <summary>Below this voltage of a cell the goggles warn of the battery; null when they do not.</summary>
    [Description("Below this voltage of a cell the goggles warn of the battery; without it they do not.")]
    [Range(2, 4.4)]
    public Volts? CellWarning { get; init; }

    /// <summary>Below this share the goggles warn of the signal; null when they do not.</summary>
    [Description("Below this share the goggles warn of the signal, in percent; without it they do not.")]
    [Range(1, 100)]
    public Percent? SignalWarning { get; init; }
}
