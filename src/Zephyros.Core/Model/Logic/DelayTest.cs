using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Logic;

/// <summary>Follows its parts, which must all hold, only after that has stayed the same for a while.</summary>
public sealed record DelayTest : Test
{
    /// <summary>What is followed: all of these together; at least one.</summary>
    [Description("What is followed: all of these together.")]
    public required ImmutableArray<Test> Of { get; init; }

    /// <summary>How long they must hold before this does.</summary>
    [Description("How long they must hold before this does, in milliseconds.")]
    [Range(0, 600000)]
    public Milliseconds OnAfter { get; init; }

    /// <summary>How long they must not hold before this no longer does.</summary>
    [Description("How long they must not hold before this no longer does, in milliseconds.")]
    [Range(0, 600000)]
    public Milliseconds OffAfter { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups => [("of", Of)];
}
