using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>What a range check found.</summary>
/// <param name="Quality">The share of packets that came, in percent.</param>
/// <param name="Metres">The distance at which they did, in metres.</param>
public sealed record RangeCheckRequest(
    [property: Range(1, 99)] double Quality,
    [property: Range(1, 1_000_000)] double Metres
);
