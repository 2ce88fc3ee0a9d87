using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Logic;

/// <summary>A control or the chain of a channel lies below or above a limit.</summary>
public sealed record CompareTest : Test
{
    /// <summary>What is compared.</summary>
    [Description("What is compared.")]
    public required Source Value { get; init; }

    /// <summary>On which side of the limit it must lie.</summary>
    [Description("On which side of the limit the value must lie.")]
    public required Relation Relation { get; init; }

    /// <summary>The limit.</summary>
    [Description("The limit in percent.")]
    [Range(-1000, 1000)]
    public required Percent Limit { get; init; }
}
