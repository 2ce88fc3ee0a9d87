using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>A sensor that is to be put into another unit.</summary>
/// <param name="Sensor">Its id.</param>
/// <param name="Unit">The unit.</param>
public sealed record SensorUnitRequest(
    [property: StringLength(80, MinimumLength = 1)] string Sensor,
    [property: StringLength(8)] string Unit
);
