using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>A step of a loss that is tried at the bench.</summary>
/// <param name="Id">What it is about.</param>
/// <param name="Do">What to do.</param>
/// <param name="Expected">What must come of it.</param>
/// <param name="Came">True when it came, false when something else did; null before.</param>
/// <param name="Took">How long it took; null where no time counts, and before.</param>
/// <param name="Seen">What was seen; empty before.</param>
public sealed record LossTrialStep(
    string Id,
    string Do,
    string Expected,
    bool? Came = null,
    Milliseconds? Took = null,
    string Seen = ""
);
