using System.Collections.Immutable;

namespace Zephyros.Web.Contracts;

/// <summary>What a search for sensors found on the transmitter.</summary>
/// <param name="Found">The keys of the expected ones that were found.</param>
/// <param name="Others">How many others were found.</param>
/// <param name="OnUsb">True when the craft has its power from USB alone.</param>
public sealed record SensorSearchRequest(ImmutableArray<string> Found, int Others, bool OnUsb = false);
