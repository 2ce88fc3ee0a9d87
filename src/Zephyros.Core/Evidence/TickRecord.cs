using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Evidence;

/// <summary>One thing that was stored, read back or tried, and what was seen.</summary>
public sealed record TickRecord
{
    /// <summary>The id of the step of the work that it belongs to.</summary>
    [Description("The id of the step of the work that it belongs to.")]
    [StringLength(40, MinimumLength = 1)]
    public required string Step { get; init; }

    /// <summary>The id of the thing among those of the step.</summary>
    [Description("The id of the thing among those of the step.")]
    [StringLength(80, MinimumLength = 1)]
    public required string Item { get; init; }

    /// <summary>What was to be done, as it was asked then.</summary>
    [Description("What was to be done, as it was asked then.")]
    [StringLength(2000)]
    public string Do { get; init; } = "";

    /// <summary>What should have come of it, as it was asked then.</summary>
    [Description("What should have come of it, as it was asked then.")]
    [StringLength(4000)]
    public string Expected { get; init; } = "";

    /// <summary>True when it came out so.</summary>
    [Description("True when it came out as it should.")]
    public required bool AsExpected { get; init; }

    /// <summary>What was seen instead, in the pilot's words; empty when there is nothing to say.</summary>
    [Description("What was seen, in the pilot's words; empty when there is nothing to say.")]
    [StringLength(300)]
    public string Seen { get; init; } = "";

    /// <summary>How long it took, as it was seen or measured; null where nobody took the time.</summary>
    [Description("How long it took, as it was seen or measured, in milliseconds.")]
    [Range(0, 3600000)]
    public Milliseconds? After { get; init; }
}
