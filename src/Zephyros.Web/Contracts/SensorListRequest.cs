using System.ComponentModel.DataAnnotations;

namespace Zephyros.Web.Contracts;

/// <summary>A list of sensors as a transmitter shows it.</summary>
/// <param name="Text">One sensor a line.</param>
public sealed record SensorListRequest([property: StringLength(20_000)] string Text);
