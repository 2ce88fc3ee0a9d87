using Zephyros.Core.Hands;
using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.Routines;

/// <summary>What a guided routine looks at for its present step, and so what has to be read off a board that it cannot see.</summary>
/// <param name="Bars">The bars that may answer, the most likely first; one when it is known already, none for a switch.</param>
/// <param name="Channels">The channels that the switch works on; none for a stick.</param>
/// <param name="AtRest">True when nothing is held, so that the wander can be read as well.</param>
/// <param name="Stays">What was shown before and should be shown still; null when something else is expected.</param>
public sealed record RoutineAsk(
    IReadOnlyList<StickAxis> Bars,
    IReadOnlyList<ChannelNumber> Channels,
    bool AtRest,
    Microseconds? Stays = null
)
{
    /// <summary>Nothing; everything is measured.</summary>
    public static RoutineAsk Nothing { get; } = new([], [], false);
}
