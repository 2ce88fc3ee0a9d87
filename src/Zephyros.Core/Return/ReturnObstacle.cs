using Zephyros.Core.Units;

namespace Zephyros.Core.Return;

/// <summary>Why something does not come to the transmitter, and where to look.</summary>
/// <param name="Words">The reason, as a sentence.</param>
/// <param name="Place">What decides it, as a JSON Pointer into the setup.</param>
/// <param name="Station">The station where it stands.</param>
public sealed record ReturnObstacle(string Words, string Place, Station Station);
