using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>Something to do after a wiggle test.</summary>
/// <param name="Words">What to do, and where.</param>
/// <param name="Edit">The edit that does it in the setup; null for what is done with a soldering iron or by moving plugs.</param>
public sealed record WiggleFix(string Words, SetupEdit? Edit);
