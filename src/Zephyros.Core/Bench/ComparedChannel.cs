using Zephyros.Core.Units;

namespace Zephyros.Core.Bench;

/// <summary>One channel at three places, and where the three first part.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Carries">What the model sends on it, in the pilot's words; empty when it sends nothing.</param>
/// <param name="Shown">What the board takes it for, in words; empty when nothing on the board looks at it.</param>
/// <param name="Model">What the model sends; null when it feeds nothing to the channel.</param>
/// <param name="Wire">What the receiver last put on the wire; null before the first frame.</param>
/// <param name="Board">What the board shows; null before the first good frame.</param>
/// <param name="Parts">The first place at which it is no longer the same; null while all agree.</param>
/// <param name="Why">What happens there, in a sentence; empty while all agree.</param>
public sealed record ComparedChannel(
    ChannelNumber Channel,
    string Carries,
    string Shown,
    Microseconds? Model,
    Microseconds? Wire,
    Microseconds? Board,
    Station? Parts,
    string Why
);
