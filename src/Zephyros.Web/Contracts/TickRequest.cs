using System.ComponentModel.DataAnnotations;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>Something was stored, read back or tried.</summary>
/// <param name="AsExpected">True when it came out as it should.</param>
/// <param name="Seen">What was seen, in the pilot's words; may be empty.</param>
/// <param name="After">How long it took, as it was seen or measured; one that is too late is not as expected.</param>
public sealed record TickRequest(
    bool AsExpected,
    [property: StringLength(300)] string Seen = "",
    [property: Range(0, 3_600_000)] Milliseconds? After = null
);
