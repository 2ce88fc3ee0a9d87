using Zephyros.Core.Units;

namespace Zephyros.Core.Measure.BesidePlan;

/// <summary>One channel of a real transmitter, receiver and board beside its plan.</summary>
/// <param name="Channel">The channel.</param>
/// <param name="Carries">What the model sends on it, in the pilot's words.</param>
/// <param name="Points">The places that it can be brought to, from low to high or by the switch's positions.</param>
/// <param name="Parts">The first place at which it is not as planned; null while nothing is known to be otherwise.</param>
/// <param name="Why">What happens there; or what is planned to happen on the way, or why nothing can be told; empty otherwise.</param>
public sealed record MeasuredChannel(
    ChannelNumber Channel,
    string Carries,
    IReadOnlyList<MeasuredPoint> Points,
    Station? Parts,
    string Why
);
