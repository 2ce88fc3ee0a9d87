using System.Security.Cryptography;
using System.Text;
using Microsoft.Extensions.Caching.Memory;
using Zephyros.Core.Proof;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Web.Proofs;

/// <summary>Verdicts of what was proven before: an undo, a copy or what is decided about a promise proves nothing anew. Several threads
/// may use it.</summary>
internal sealed class KnownVerdicts : IDisposable
{
    // Verdicts, and the steps of their sequences, each of which holds a picture of the path: some kB.
    private const int MostPieces = 4000;

    private readonly MemoryCache known = new(new MemoryCacheOptions { SizeLimit = MostPieces });

    /// <summary>What tells setups apart of which the same can be proven: everything but what is decided about promises.</summary>
    public static string Fingerprint(Setup setup) =>
        Convert.ToHexString(
            SHA256.HashData(
                Encoding.UTF8.GetBytes(CanonicalJson.Write(setup with { Promises = setup.Promises.Clear() }))
            )
        );

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

    /// <inheritdoc />
    public void Dispose() => known.Dispose();
}
