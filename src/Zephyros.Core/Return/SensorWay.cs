using Zephyros.Core.Model;
using Zephyros.Core.Units;

namespace Zephyros.Core.Return;

/// <summary>How the readings of one sensor come to the transmitter.</summary>
/// <param name="Origin">Who measures it.</param>
/// <param name="Message">The message that brings it; null for what the transmitter measures itself.</param>
/// <param name="Every">How far its readings are apart when nothing is lost, which is how old one may be; null for what the transmitter
/// measures itself, and for what does not come.</param>
/// <param name="Obstacle">Why it does not come; null when it does.</param>
public sealed record SensorWay(
    SensorOrigin Origin,
    ReturnMessage? Message,
    Milliseconds? Every,
    ReturnObstacle? Obstacle
)
{
    /// <summary>True when its readings come to the transmitter.</summary>
    public bool Comes => Obstacle is null;
}
