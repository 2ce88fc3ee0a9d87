using System.ComponentModel;
using System.ComponentModel.DataAnnotations;

namespace Zephyros.Core.Setups;

/// <summary>Why a finding is kept on purpose.</summary>
public sealed record Justification
{
    /// <summary>The reason, in the pilot's words.</summary>
    [Description("Why the finding is kept on purpose, in the pilot's words.")]
    [StringLength(400, MinimumLength = 1)]
    public required string Note { get; init; }
}
