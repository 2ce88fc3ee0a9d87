using Zephyros.Core.Air.Profiles;

namespace Zephyros.Core.Air;

/// <summary>The radio systems that come with the program. They are kinds of system and no make; figures from memory or common practice.</summary>
public static class LinkProfiles
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<LinkProfile> BuiltIn { get; } =
    [FullStep.Profile, SteppedPackets.Profile, FarReach.Profile, PlainEight.Profile, BoardReceiver.Profile];
}
