using System.Collections.Immutable;
using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model;

/// <summary>Gives the value that belongs to the flight state; a state without a value lets the incoming one pass.</summary>
public sealed record StateStep : ChainStep
{
    /// <summary>The value of each flight state, by the state's id.</summary>
    [Description("The value of each flight state in percent, by the state's id.")]
    [Range(-150, 150)]
    public ImmutableDictionary<string, Percent> Values { get; init; } = ImmutableDictionary<string, Percent>.Empty;
}
