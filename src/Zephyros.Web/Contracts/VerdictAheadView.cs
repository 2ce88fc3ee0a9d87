using Zephyros.Core.Verdicts;

namespace Zephyros.Web.Contracts;

/// <summary>What an edit would change of the verdict, as far as it is known; nothing is saved.</summary>
/// <param name="Revision">The revision that it was tried on.</param>
/// <param name="Running">True while it is still being proven how the promises would stand.</param>
/// <param name="Verdict">What it would change.</param>
public sealed record VerdictAheadView(int Revision, bool Running, VerdictAhead Verdict);
