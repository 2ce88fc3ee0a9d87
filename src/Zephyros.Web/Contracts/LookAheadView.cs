using Zephyros.Core.Bench.Ahead;
using Zephyros.Core.Edits;

namespace Zephyros.Web.Contracts;

/// <summary>What an edit would change in the setup and along the path; nothing is saved.</summary>
/// <param name="Revision">The revision that it was tried on.</param>
/// <param name="Changes">What would be different in the setup, in words.</param>
/// <param name="Path">Where it would first be seen along the path.</param>
public sealed record LookAheadView(int Revision, IReadOnlyList<SetupChange> Changes, PathAhead Path);
