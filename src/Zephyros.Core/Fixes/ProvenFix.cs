using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Fixes;

/// <summary>A change after which a promise that was broken is proven, and no other promise is worse than before.</summary>
/// <param name="Id">Its id among the fixes of the promise.</param>
/// <param name="Effect">What it changes and what follows from that.</param>
/// <param name="Edit">The edit; its title names the fix.</param>
/// <param name="AlsoKeeps">The codes of other promises that it keeps as well.</param>
public sealed record ProvenFix(string Id, string Effect, SetupEdit Edit, IReadOnlyList<string> AlsoKeeps);
