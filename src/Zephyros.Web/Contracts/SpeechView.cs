using Zephyros.Core.Model.Speech;
using Zephyros.Core.Path;
using Zephyros.Core.Units;

namespace Zephyros.Web.Contracts;

/// <summary>How an announcement is spoken.</summary>
/// <param name="Rank">How urgent it is.</param>
/// <param name="Takes">How long it takes at most.</param>
public sealed record SpeechView(SpeechRank Rank, Milliseconds Takes)
{
    /// <summary>Those of a setup, by the announcement's id.</summary>
    public static IReadOnlyDictionary<string, SpeechView> Of(SignalPlan plan) =>
        plan.Setup.Model.Announcements.ToDictionary(
            a => a.Key,
            a => new SpeechView(
                SpeechRanks.Of(plan.Model.Graph, a.Value),
                SpeechTime.Longest(plan.Setup.Model, a.Value, plan.Setup.Transmitter.WordTime)
            ),
            StringComparer.Ordinal
        );
}
