using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>A wanted table flight state x channel.</summary>
/// <param name="Table">By channel id: by state id: the value that should leave the transmitter, in percent. A channel without states
/// loses its table.</param>
public sealed record StateTableRequest(IReadOnlyDictionary<string, IReadOnlyDictionary<string, Percent>> Table);
