namespace Zephyros.Core.Model.Logic;

/// <summary>What a condition can become, whatever the hands and the craft do.</summary>
/// <param name="CanHold">True when something makes it hold.</param>
/// <param name="CanFail">True when something makes it not hold.</param>
public readonly record struct Reach(bool CanHold, bool CanFail);
