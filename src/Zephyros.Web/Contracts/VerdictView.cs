using Zephyros.Core.Verdicts;

namespace Zephyros.Web.Contracts;

/// <summary>The one verdict on a craft as far as it has come.</summary>
/// <param name="Revision">The revision that it is on.</param>
/// <param name="Running">True while the proof goes on.</param>
/// <param name="Searching">True while fixes of broken promises are tried, each proven on a copy.</param>
/// <param name="Verdict">The verdict.</param>
public sealed record VerdictView(int Revision, bool Running, bool Searching, CraftVerdict Verdict);
