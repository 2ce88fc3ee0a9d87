using Zephyros.Core.Units;
using Zephyros.Core.Wire;

namespace Zephyros.Core.Captures;

/// <summary>A stretch of a recording in which something was lost.</summary>
/// <param name="Kind">How it shows.</param>
/// <param name="From">When it begins.</param>
/// <param name="Length">How long it lasts.</param>
public sealed record LossStretch(LossKind Kind, Milliseconds From, Milliseconds Length);
