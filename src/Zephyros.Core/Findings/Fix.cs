using Zephyros.Core.Setups.Patches;

namespace Zephyros.Core.Findings;

/// <summary>One way to put a finding right.</summary>
/// <param name="Id">The id of the fix within its finding.</param>
/// <param name="Effect">What it changes and what follows from that.</param>
/// <param name="Edit">The edit; its title names the fix.</param>
public sealed record Fix(string Id, string Effect, SetupEdit Edit);
