using System.Collections.Immutable;
using System.ComponentModel;
using System.Text.Json.Serialization;

namespace Zephyros.Core.Model.Logic;

/// <summary>A latch: it goes on when all that sets it holds, and stays on until something that clears it holds. When both hold it is
/// off, and it is off when the transmitter is switched on.</summary>
public sealed record LatchTest : Test
{
    /// <summary>What sets it: all of these together; at least one.</summary>
    [Description("What sets the latch: all of these together.")]
    public required ImmutableArray<Test> Set { get; init; }

    /// <summary>What clears it: any of these, and it wins; at least one.</summary>
    [Description("What clears the latch: any of these; it wins when the latch would be set as well.")]
    public required ImmutableArray<Test> Clear { get; init; }

    /// <inheritdoc />
    [JsonIgnore]
    public override IReadOnlyList<(string Member, IReadOnlyList<Test> Parts)> Groups =>
        [("set", Set), ("clear", Clear)];
}
