using Zephyros.Core.Evidence;
using Zephyros.Core.Units;

namespace Zephyros.Core.Work;

/// <summary>One thing that is to be ticked by hand.</summary>
/// <param name="Id">Its id within the step.</param>
/// <param name="Do">What to do.</param>
/// <param name="Expected">What must come of it.</param>
/// <param name="Basis">What a tick depends on besides these words.</param>
public sealed record Deed(string Id, string Do, string Expected, IReadOnlyList<BasisPart> Basis)
{
    /// <summary>When it must come at the latest, after what was done; null where no time counts.</summary>
    public Milliseconds? Within { get; init; }

    /// <summary>True for what takes more than every pilot has: the step is done without it.</summary>
    public bool Optional { get; init; }
}
