using Zephyros.Core.Units;
using Zephyros.Core.Verdicts;

namespace Zephyros.Web.Contracts;

/// <summary>One entry of a verdict, as the hangar lists it.</summary>
/// <param name="Title">The entry in a few words.</param>
/// <param name="Level">How much it matters.</param>
/// <param name="Station">Where on the path it shows; null for a promise, which speaks of all of it.</param>
public sealed record VerdictLine(string Title, VerdictLevel Level, Station? Station);
