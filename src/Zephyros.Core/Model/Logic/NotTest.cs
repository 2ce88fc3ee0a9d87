using System.Collections.Immutable;
using System.ComponentModel;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model.Logic;

/// <summary>None of the parts holds.</summary>
public sealed record NotTest : Test
{
    /// <summary>The parts; at least one.</summary>
    [Description("The tests of which none may hold.")]
    public required ImmutableArray<Test> Of { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups => [("of", Of)];
}
