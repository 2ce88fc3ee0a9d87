using Zephyros.Core.Findings;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>A finding that is neither fixed nor justified, as the hangar lists it.</summary>
/// <param name="Title">The finding in a few words.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Station">Where on the path it shows.</param>
public sealed record OpenFinding(string Title, Severity Severity, Station Station);
