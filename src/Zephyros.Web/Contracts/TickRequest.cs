using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>Something was stored, read back or tried.</summary>
/// <param name="AsExpected">True when it came out as it should.</param>
/// <param name="Seen">What was seen, in the pilot's words; may be empty.</param>
public sealed record TickRequest(bool AsExpected, [property: StringLength(300)] string Seen = "");
