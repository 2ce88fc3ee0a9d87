using System.Collections.Immutable;
using Zephyros.Core.Hands;
using Zephyros.Core.Measure.Sweeps;

namespace Zephyros.Web.Contracts;

/// <summary>What the board showed at the ends and the centre of each stick.</summary>
/// <param name="Sweeps">The readings, by axis: roll, pitch, throttle and yaw.</param>
public sealed record SweepsRequest(ImmutableDictionary<string, Sweep> Sweeps)
{
    /// <summary>The readings by axis; what is no axis is left out.</summary>
    public IReadOnlyDictionary<StickAxis, Sweep> ByAxis() =>
        StickAxes.All.Where(a => Sweeps.ContainsKey(a.Word())).ToDictionary(a => a, a => Sweeps[a.Word()]);
}
