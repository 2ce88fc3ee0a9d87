using System.Collections.Immutable;

namespace Zephyros.Web.Contracts;

/// <summary>A list of sensors as a transmitter shows it.</summary>
/// <param name="Lines">One sensor a line.</param>
public sealed record SensorListRequest(ImmutableArray<string> Lines);
