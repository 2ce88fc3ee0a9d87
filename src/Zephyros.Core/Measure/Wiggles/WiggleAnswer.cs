using System.Text.Json.Serialization;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;

namespace Zephyros.Core.Measure.Wiggles;

/// <summary>What follows from wiggling the sticks.</summary>
/// <param name="Sticks">What is known of each stick.</param>
/// <param name="Possible">How many of the 384 ways of arriving are left; 0 when what was seen contradicts itself.</param>
/// <param name="Contradictions">The places, in what was seen, of pairs that cannot both be right.</param>
/// <param name="Next">The stick whose wiggle would decide most; null when everything is known.</param>
/// <param name="BoardMap">The map that the board must have, if the transmitter sends what the setup says; null while it is not certain.</param>
/// <param name="SentOrder">The order that the transmitter must send, if the board has the map that the setup says; null while it is not
/// certain.</param>
public sealed record WiggleAnswer(
    IReadOnlyList<StickArrival> Sticks,
    int Possible,
    [property: JsonIgnore] IReadOnlyList<(int One, int Other)> Contradictions,
    StickAxis? Next,
    StickOrder? BoardMap,
    StickOrder? SentOrder
);
