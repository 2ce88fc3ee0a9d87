using System.Collections.Immutable;
using System.ComponentModel;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model.Logic;

/// <summary>At least one part holds.</summary>
public sealed record AnyTest : Test
{
    /// <summary>The parts; at least one.</summary>
    [Description("The tests of which one must hold.")]
    public required ImmutableArray<Test> Of { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups => [("of", Of)];
}
