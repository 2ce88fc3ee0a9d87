using System.Globalization;
using Zephyros.Core.Board;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Situations;
using Zephyros.Core.Tests.Board;

namespace Zephyros.Core.Tests.Proof;

/// <summary>One row of a table of watched changes: what a promise remembers, what happens, and what it must make of it.</summary>
/// <remarks>A row reads "1 Input:ThrottleStick idles > thrusts up => broken *". First what is remembered; then the kind of move and, for
/// a hand, the roles of what was moved; the board before and after (<see cref="BoardWords"/>); what else is so; after the arrow what is then remembered, and a
/// star where the premise has come about. While nothing else is said the radio is up, frames arrive, and no reading is set.</remarks>
internal sealed record WatchedStep(string Text, int Before, Change Change, int After, bool Premise)
{
    public static WatchedStep Parse(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var arrow = Array.IndexOf(words, "=>");
        Assert.Equal(">", words[3]);
        var move = words[1].Split(':');
        string[] so = words[5..arrow];
        string? Told(string key) => so.FirstOrDefault(w => w.StartsWith(key, StringComparison.Ordinal))?[key.Length..];
        var reading =
            (so.Contains("low") ? BoardView.LowBit : 0)
            | (so.Contains("thrust") ? BoardView.ThrustBit : 0)
            | (so.Contains("up") ? BoardView.WellUpBit | BoardView.ThrustBit : 0)
            | (ulong.TryParse(Told("bits="), CultureInfo.InvariantCulture, out var bits) ? bits : 0);
        var change = new Change(
            new Situation(
                BoardWords.Read(words[2]),
                Radio(Told("was=")),
                true,
                0,
                Orientation.Level,
                UsbState.None,
                false,
                0
            ),
            Enum.Parse<MoveKind>(move[0]),
            move.Skip(1).Aggregate(Roles.None, (roles, word) => roles | Enum.Parse<Roles>(word)),
            BoardWords.Read(words[4]),
            Radio(Told("radio=")),
            Fix: so.Contains("fix"),
            Frames: !so.Contains("silent"),
            new BoardView(reading),
            StickLow: so.Contains("stick"),
            Cues: int.Parse(Told("cues=") ?? "0", CultureInfo.InvariantCulture),
            Missed: so.Contains("missed"),
            Trembles: so.Contains("trembles"),
            Sent: new BoardView(ulong.TryParse(Told("sent="), CultureInfo.InvariantCulture, out var sent) ? sent : 0)
        );
        var after = words[arrow + 1];
        return new(
            text,
            int.Parse(words[0], CultureInfo.InvariantCulture),
            change,
            after == "broken" ? Watch.Broken : int.Parse(after, CultureInfo.InvariantCulture),
            words[^1] == "*"
        );
    }

    private static RadioState Radio(string? word) =>
        word is null ? RadioState.Up : Enum.Parse<RadioState>(word, ignoreCase: true);
}
