using System.Collections.Immutable;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Return;

/// <summary>A list of sensors as a transmitter shows it, read: one a line, each by what it is called or by its unit.</summary>
/// <param name="Found">The keys of the expected ones that are in it, in the order of the list.</param>
/// <param name="Others">The lines that are none of these.</param>
public sealed record SensorListing(IReadOnlyList<string> Found, IReadOnlyList<string> Others)
{
    /// <summary>So many lines are read; no transmitter has as many sensors.</summary>
    public const int MostLines = 200;

    // What a word means, the more telling first. Common practice, no source.
    private static readonly ImmutableArray<(SensorSubject Subject, SensorOrigin Origin, string[] Words)> Meanings =
    [
        (SensorSubject.DownLinkQuality, SensorOrigin.Receiver, ["down", "way back"]),
        (SensorSubject.LinkQuality, SensorOrigin.Receiver, ["quality", "lq", "packets"]),
        (SensorSubject.Strength, SensorOrigin.Receiver, ["dbm", "rssi", "strength"]),
        (SensorSubject.ChargeUsed, SensorOrigin.Board, ["mah", "ah", "used", "charge", "consumption", "consumed"]),
        (SensorSubject.Voltage, SensorOrigin.Receiver, ["receiver", "supply", "rx"]),
        (SensorSubject.Satellites, SensorOrigin.Board, ["satellites", "sats", "sat"]),
        (SensorSubject.Height, SensorOrigin.Board, ["height", "altitude", "alt"]),
        (SensorSubject.Distance, SensorOrigin.Board, ["distance", "dist"]),
        (SensorSubject.Current, SensorOrigin.Board, ["current", "amperes", "amps", "a"]),
        (SensorSubject.Voltage, SensorOrigin.Board, ["battery", "pack", "voltage", "volts", "cells", "v"]),
    ];

    /// <summary>Reads a list.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="lines">The list; empty lines and those beyond <see cref="MostLines"/> are left out.</param>
    public static SensorListing Read(Setup setup, IEnumerable<string> lines)
    {
        var (found, others) = (new List<string>(), new List<string>());
        var expected = SensorSearch.Expected(setup).Select(e => e.Key).ToHashSet(StringComparer.Ordinal);
        foreach (var line in lines.Select(l => l.Trim()).Where(l => l.Length > 0).Take(MostLines))
        {
            var words = Words(line);
            var key = Meanings
                .Where(m => m.Words.Any(w => words.Contains($" {w} ", StringComparison.Ordinal)))
                .Select(m => SensorSearch.Key(m.Origin, m.Subject))
                .FirstOrDefault();
            // Another one of the same is one too many.
            if (key is not null && expected.Contains(key) && !found.Contains(key, StringComparer.Ordinal))
                found.Add(key);
            else
                others.Add(line);
        }

        return new SensorListing(found, others);
    }

    // The words of a line between single spaces; figures part them, so that a unit that stands at its figure is a word too.
    private static string Words(string line) =>
        $" {string.Join(' ', new string([.. line.ToLowerInvariant().Select(c => char.IsLetter(c) ? c : ' ')]).Split(' ', StringSplitOptions.RemoveEmptyEntries))} ";
}
