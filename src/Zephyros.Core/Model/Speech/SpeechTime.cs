using System.Globalization;
using System.Text.RegularExpressions;
using Humanizer;
using Zephyros.Core.Model.Timers;
using Zephyros.Core.Units;

namespace Zephyros.Core.Model.Speech;

/// <summary>How long something takes to be spoken: as long as its words, with figures spoken as English speaks them.</summary>
public static partial class SpeechTime
{
    // A flight of ten minutes.
    private static readonly Milliseconds LongestTime = new(599_000);

    private static readonly char[] BetweenWords = [' ', '-'];

    /// <summary>How long a text takes.</summary>
    /// <param name="text">The text.</param>
    /// <param name="word">How long a word takes.</param>
    public static Milliseconds Of(string text, Milliseconds word) => new(WordsIn(text) * word.Value);

    /// <summary>How long an announcement takes at most, with its tone and the longest reading that its sensor means.</summary>
    /// <param name="model">The model.</param>
    /// <param name="made">The announcement.</param>
    /// <param name="word">How long a word takes.</param>
    public static Milliseconds Longest(TransmitterModel model, Announcement made, Milliseconds word)
    {
        string[] texts = [made.Says];
        if (made.Value is { } value && model.Sensors[value.Sensor] is var sensor)
            texts =
            [
                .. new[] { sensor.Lowest, sensor.Highest, sensor.Bench }.Select(r =>
                    $"{made.Says} {SpokenFigures.Of(sensor, sensor.Kept(r))}"
                ),
            ];
        if (made.Timer is not null)
            texts = [$"{made.Says} {TimerWords.Said(LongestTime)}"];
        var tone = made.Tone is { } before ? ToneSweep.Of(before).Length : default;
        return new Milliseconds(texts.Max(t => Of(t, word).Value)) + tone;
    }

    /// <summary>How many words a text has when it is spoken.</summary>
    public static int WordsIn(string text) =>
        text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Sum(WordsOf);

    private static int WordsOf(string token)
    {
        var figure = Figure().Match(token);
        if (!figure.Success)
            return 1;
        var whole = long.Parse(figure.Groups["whole"].ValueSpan, CultureInfo.InvariantCulture);
        var decimals = figure.Groups["decimals"];
        return whole
                .ToWords(CultureInfo.InvariantCulture)
                .Split(BetweenWords, StringSplitOptions.RemoveEmptyEntries)
                .Length + (decimals.Success ? 1 + decimals.Length : 0);
    }

    // More digits than a figure of flight has are a word like any other. Linear in the text, so nothing stops it by
    // the clock: on a busy machine a thread may stand still for longer than any time allowed to it.
    [GeneratedRegex(
        @"^[^\d.]?(?<whole>\d{1,9})(\.(?<decimals>\d{1,9}))?[^\d.]*$",
        RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    )]
    private static partial Regex Figure();
}
