using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Board;

/// <summary>How a board flies home by itself after a loss of the signal. Home is where the craft was armed: where the pilot stands.</summary>
/// <remarks>That a craft nearer to home than the smallest distance comes down where it is, as one without a position fix does, is our own
/// assumption: read the manual of the board.</remarks>
public sealed record ReturnSettings
{
    /// <summary>The height to which it climbs before it flies home; a craft that is higher stays as high as it is.</summary>
    [Figure(Station.Board, "A return home climbs first to", ProvenanceKind.OwnAssumption)]
    [Description("The height to which the craft climbs before it flies home, in metres; a higher one stays.")]
    [Range(0, 5000)]
    public Metres Height { get; init; } = new(30);

    /// <summary>How fast it climbs.</summary>
    [Figure(Station.Board, "A return home climbs at", ProvenanceKind.OwnAssumption)]
    [Description("How fast the craft climbs before it flies home, in metres a second.")]
    [Range(0.1, 30)]
    public MetresPerSecond Climb { get; init; } = new(3);

    /// <summary>How fast it flies home through the air; the wind against it takes its own away.</summary>
    [Figure(Station.Board, "A return home flies through the air at", ProvenanceKind.OwnAssumption)]
    [Description("How fast the craft flies home through the air, in metres a second.")]
    [Range(0.5, 100)]
    public MetresPerSecond Speed { get; init; } = new(8);

    /// <summary>Nearer to home than this it comes down where it is.</summary>
    [Figure(Station.Board, "A return home is flown from no nearer than", ProvenanceKind.OwnAssumption)]
    [Description("Nearer to home than this the craft comes down where it is, in metres.")]
    [Range(0, 1000)]
    public Metres NotWithin { get; init; } = new(20);
}
