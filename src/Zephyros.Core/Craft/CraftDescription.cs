using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Craft;

/// <summary>The craft that a setup is for.</summary>
public sealed record CraftDescription
{
    /// <summary>Its name.</summary>
    [Description("The name of the craft.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>What it is, in a few words.</summary>
    [Description("What the craft is, in a few words.")]
    [StringLength(80)]
    public string Summary { get; init; } = "";

    /// <summary>Cells of the flight battery in series, 1 to 14.</summary>
    [Description("Cells of the flight battery in series.")]
    [Range(1, 14)]
    public required int Cells { get; init; }

    /// <summary>The flight battery; null while it is not written down. The bench then has none, and a voltage is set there by hand.</summary>
    [Description("The flight battery; without it the bench has none, and a voltage is set there by hand.")]
    public FlightBattery? Battery { get; init; }

    /// <summary>What its cells are made of; the usual while no battery is written down.</summary>
    [JsonIgnore]
    public CellChemistry Chemistry => Battery?.Chemistry ?? CellChemistry.LithiumPolymer;

    /// <summary>The longest way home that the pilot reckons with; null while none is written down.</summary>
    [Description("The longest way home that the pilot reckons with.")]
    public WayHome? WayHome { get; init; }

    /// <summary>The flight that a loss of the signal is reckoned with; null while none is written down.</summary>
    [Description("The flight that a loss of the signal is reckoned with.")]
    public FlightAtLoss? AtLoss { get; init; }
}
