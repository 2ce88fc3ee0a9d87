using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>Puts the signal quality onto a channel.</summary>
/// <param name="Way">How it gets there.</param>
/// <param name="Channel">The channel, 5 or more.</param>
/// <param name="Sensor">For the transmitter's way: the id of the sensor that it sends up.</param>
public sealed record QualityRequest(
    QualityWay Way,
    [property: Range(5, 32)] int Channel,
    [property: StringLength(32)] string? Sensor = null
);
