using Zephyros.Core.Model;
using Zephyros.Core.Model.Speech;

namespace Zephyros.Core.Bench;

/// <summary>Something that is to be spoken. What it says is put together when its turn comes.</summary>
/// <param name="Rank">How urgent it is.</param>
/// <param name="Says">Its words.</param>
/// <param name="Value">The reading that follows them; null when the words are all.</param>
/// <param name="Timer">The id of the timer whose time follows them; null when none does.</param>
/// <param name="When">The id of the condition that set it off; null when none did.</param>
/// <param name="Tone">The tone before it; null when there is none.</param>
internal sealed record Utterance(
    SpeechRank Rank,
    string Says,
    SpokenValue? Value,
    string? Timer,
    string? When,
    Tone? Tone
)
{
    /// <summary>What an announcement has to say.</summary>
    public static Utterance Of(ModelGraph graph, Announcement made) =>
        new(SpeechRanks.Of(graph, made), made.Says, made.Value, made.Timer, made.When, made.Tone);

    /// <summary>What a timer calls out.</summary>
    public static Utterance Call(string text) => new(SpeechRank.Notice, text, null, null, null, null) { IsCall = true };

    /// <summary>True for the call of a timer.</summary>
    public bool IsCall { get; private init; }
}
