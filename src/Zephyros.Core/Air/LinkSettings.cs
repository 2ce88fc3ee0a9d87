using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Air;

/// <summary>The radio link as far as its channels go: how many it carries and how often.</summary>
public sealed record LinkSettings
{
    /// <summary>What the pilot calls the radio system.</summary>
    [Description("What the pilot calls the radio system.")]
    [StringLength(40)]
    public string Alias { get; init; } = "";

    /// <summary>How many channels the link carries, 4 to 32; later ones do not arrive.</summary>
    [Description("How many channels the link carries; later ones do not arrive.")]
    [Range(4, 32)]
    public required int Channels { get; init; }

    /// <summary>Packets per second.</summary>
    [Description("Packets per second.")]
    [Range(10, 1000)]
    public required Hertz PacketRate { get; init; }
}
