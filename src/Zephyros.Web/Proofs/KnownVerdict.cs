using Zephyros.Core.Proof;
using Zephyros.Web.Contracts;

namespace Zephyros.Web.Proofs;

/// <summary>What was proven of one promise.</summary>
/// <param name="Verdict">The verdict.</param>
/// <param name="Milliseconds">How long it took.</param>
/// <param name="Path">The sequence with what is seen at each step; empty without one.</param>
internal sealed record KnownVerdict(PromiseVerdict Verdict, int Milliseconds, IReadOnlyList<ProofStepView> Path);
