using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Measure.Positions;
using Zephyros.Core.Measure.Sweeps;
using Zephyros.Core.Measure.Wiggles;

namespace Zephyros.Core.Evidence;

/// <summary>What was seen when sticks were wiggled and swept, and switches put through their positions.</summary>
public sealed record MeasurementRecord
{
    /// <summary>What each wiggle showed.</summary>
    [Description("What each wiggle showed.")]
    public ImmutableArray<WiggleSeen> Wiggles { get; init; } = [];

    /// <summary>What the board showed at the ends and the centre, by axis.</summary>
    [Description("What the board showed at the ends and the centre, by axis.")]
    public ImmutableDictionary<string, Sweep> Sweeps { get; init; } = ImmutableDictionary<string, Sweep>.Empty;

    /// <summary>What the positions of switches and buttons gave.</summary>
    [Description("What the positions of switches and buttons gave.")]
    public ImmutableArray<PositionSeen> Positions { get; init; } = [];

    /// <summary>True when it was read off the simulated board, which proves nothing of the real one.</summary>
    [Description("True when it was read off the simulated board.")]
    public bool Simulated { get; init; }

    /// <summary>What else there is to say.</summary>
    [Description("What else there is to say.")]
    [StringLength(400)]
    public string Note { get; init; } = "";
}
