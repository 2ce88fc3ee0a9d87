using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Craft;

/// <summary>The longest way home that a pilot reckons with: what an alarm must leave time for.</summary>
public sealed record WayHome
{
    /// <summary>How far away the craft may be.</summary>
    [Description("How far away the craft may be, in metres.")]
    [Range(0, 100000)]
    public required Metres Distance { get; init; }

    /// <summary>How fast it flies home through the air.</summary>
    [Description("How fast the craft flies home through the air, in metres a second.")]
    [Range(0.5, 100)]
    public required MetresPerSecond Speed { get; init; }

    /// <summary>The wind against it.</summary>
    [Description("The wind against it, in metres a second.")]
    [Range(0, 50)]
    public MetresPerSecond Wind { get; init; }

    /// <summary>How high it may be.</summary>
    [Description("How high the craft may be, in metres.")]
    [Range(0, 5000)]
    public Metres Height { get; init; }

    /// <summary>How fast it descends.</summary>
    [Description("How fast the craft descends, in metres a second.")]
    [Range(0.1, 30)]
    public MetresPerSecond Descent { get; init; } = new(2);

    /// <summary>What is to be left when it is down.</summary>
    [Description("The flying time that is to be left when it is down, in milliseconds.")]
    [Range(0, 3600000)]
    public Milliseconds Reserve { get; init; } = new(30000);

    /// <summary>What flows on the way.</summary>
    [Description("The current on the way home, in amperes.")]
    [Range(0.1, 500)]
    public required Amperes Current { get; init; }
}
