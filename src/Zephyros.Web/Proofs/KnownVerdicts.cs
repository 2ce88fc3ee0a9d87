using System.Security.Cryptography;
using System.Text;
using Microsoft.Extensions.Caching.Memory;
using Zephyros.Core.Fixes;
using Zephyros.Core.Proof;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Web.Proofs;

/// <summary>What was proven before, and the fixes that were found: an undo, a copy, another name or what is decided about a promise proves
/// nothing anew. Several threads may use it.</summary>
internal sealed class KnownVerdicts : IDisposable
{
    // Verdicts, and the steps of their sequences, each of which holds a picture of the path: some kB.
    private const int MostPieces = 4000;

    private readonly MemoryCache known = new(new MemoryCacheOptions { SizeLimit = MostPieces });

    /// <summary>What tells setups apart of which the same can be proven: everything but what the craft is called, where it was copied
    /// from and what is decided about promises.</summary>
    public static string Fingerprint(Setup setup) => Hash(Nameless(setup) with { Promises = setup.Promises.Clear() });

    /// <summary>What tells setups apart that have the same fixes: everything but what the craft is called and where it was copied
    /// from.</summary>
    public static string FixesFingerprint(Setup setup) => Hash(Nameless(setup));

    private static Setup Nameless(Setup setup) =>
        setup with
        {
            Craft = setup.Craft with { Name = "", Summary = "" },
            Air = setup.Air with { LossCopiedFrom = "" },
        };

    private static string Hash(Setup setup) =>
        Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(CanonicalJson.Write(setup))));

    /// <summary>What was proven of a promise, or null.</summary>
    /// <param name="setup">The <see cref="Fingerprint"/> of the setup.</param>
    /// <param name="promise">The code of the promise.</param>
    /// <param name="twoHands">Whether pairs of controls were tried too.</param>
    public KnownVerdict? Find(string setup, string promise, bool twoHands) =>
        known.TryGetValue((setup, promise, twoHands), out KnownVerdict? verdict) ? verdict : null;

    /// <summary>Keeps a verdict. What could not be proven is not kept: it may be next time, with more time.</summary>
    public void Keep(string setup, string promise, bool twoHands, KnownVerdict verdict)
    {
        if (verdict.Verdict.Kind != VerdictKind.NotProven)
            known.Set(
                (setup, promise, twoHands),
                verdict,
                new MemoryCacheEntryOptions { Size = 1 + verdict.Path.Count }
            );
    }

    /// <summary>The fixes that were found, by the code of the promise, or null.</summary>
    /// <param name="setup">The <see cref="FixesFingerprint"/> of the setup.</param>
    /// <param name="twoHands">Whether pairs of controls were tried too.</param>
    public IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>>? FindFixes(string setup, bool twoHands) =>
        known.TryGetValue((setup, twoHands), out IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>>? fixes)
            ? fixes
            : null;

    /// <summary>Keeps the fixes of a search that came to its end.</summary>
    public void KeepFixes(string setup, bool twoHands, IReadOnlyDictionary<string, IReadOnlyList<ProvenFix>> fixes) =>
        known.Set(
            (setup, twoHands),
            fixes,
            new MemoryCacheEntryOptions { Size = 1 + fixes.Values.Sum(list => list.Count) }
        );

    /// <inheritdoc />
    public void Dispose() => known.Dispose();
}
