using System.Collections.Immutable;
using System.ComponentModel;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model.Logic;

/// <summary>All parts hold.</summary>
public sealed record AllTest : Test
{
    /// <summary>The parts; at least one.</summary>
    [Description("The tests that must all hold.")]
    public required ImmutableArray<Test> Of { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups => [("of", Of)];
}
