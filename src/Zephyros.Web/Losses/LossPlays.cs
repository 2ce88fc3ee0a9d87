using System.Runtime.CompilerServices;
using Zephyros.Core.Loss;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Web.Losses;

/// <summary>The loss that was played last of each setup: while a slider is dragged only the flight is another one, and nothing is played
/// again. A setup never changes; its play is forgotten together with it.</summary>
internal sealed class LossPlays
{
    private readonly ConditionalWeakTable<Setup, Played> played = [];

    /// <summary>A loss that was played before, or is now.</summary>
    /// <returns>Null when no hands that were tried arm the craft.</returns>
    public LossPlay? Of(Setup setup, Percent throttle, bool fix)
    {
        if (played.TryGetValue(setup, out var last) && last.Throttle == throttle && last.Fix == fix)
            return last.Play;
        var play = LossPlay.Of(setup, throttle, fix);
        played.AddOrUpdate(setup, new Played(throttle, fix, play));
        return play;
    }

    private sealed record Played(Percent Throttle, bool Fix, LossPlay? Play);
}
