using System.Text.Json.Nodes;
using Zephyros.Core.Hands;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Evidence;

/// <summary>What evidence depends on, and whether it still stands: it is stale as soon as one of these parts is another.</summary>
public static class EvidenceBasis
{
    // A bind depends on who speaks to whom, on which band, and on what the receiver was told to do on a loss.
    private static readonly (string Path, string Name)[] BindParts =
    [
        ("/air/profile", "the radio system"),
        ("/air/modules", "the radio modules"),
        ("/air/receiver", "the receiver"),
        ("/air/frequency", "the band"),
        ("/air/onLoss", "the receiver's behaviour on a loss"),
    ];

    /// <summary>What a bind of this setup depends on.</summary>
    public static IReadOnlyList<BasisPart> OfBind(Setup setup) => OfParts(setup, BindParts);

    /// <summary>What a measurement depends on: everything that the measured values go through.</summary>
    public static IReadOnlyList<BasisPart> OfMeasurement(Setup setup, MeasurementRecord record) =>
        MeasurementBasis.Of(setup, record);

    /// <summary>Words that evidence depends on, since they say what was to be seen.</summary>
    /// <param name="name">What they are.</param>
    /// <param name="words">The words.</param>
    public static BasisPart OfWords(string name, string words) =>
        new("words", name, CanonicalJson.Hash(CanonicalJson.Write(JsonValue.Create(words))));

    /// <summary>What anything depends on that comes of the sticks and of a control on a channel: everything on the way to the board.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="control">The id of the control; null for the sticks alone.</param>
    /// <param name="channel">Its channel.</param>
    public static IReadOnlyList<BasisPart> OfWay(Setup setup, string? control, ChannelNumber channel)
    {
        var sticks = new MeasurementRecord { Wiggles = [new() { Moved = StickAxis.Roll, Bar = StickAxis.Roll }] };
        return MeasurementBasis.Of(
            setup,
            control is null
                ? sticks
                : sticks with
                {
                    Positions =
                    [
                        new()
                        {
                            Control = control,
                            Setting = 0,
                            Channel = channel,
                            Value = Microseconds.Neutral,
                        },
                    ],
                }
        );
    }

    /// <summary>Parts of the document that evidence depends on.</summary>
    public static IReadOnlyList<BasisPart> OfParts(Setup setup, params ReadOnlySpan<(string Path, string Name)> parts)
    {
        var document = SetupJson.ToNode(setup);
        var basis = new List<BasisPart>();
        foreach (var (path, name) in parts)
            basis.Add(new BasisPart(path, name, HashAt(document, path)));
        return basis;
    }

    /// <summary>The parts, in words, that are another now than when a receiver was bound; none while that stands.</summary>
    public static IReadOnlyList<string> Changed(Setup setup, IEnumerable<BasisPart> basis)
    {
        var document = SetupJson.ToNode(setup);
        return [.. basis.Where(p => HashAt(document, p.Path) != p.Hash).Select(p => p.Name)];
    }

    /// <summary>The parts, in words, that are another now than when something was measured, or have come on its way or gone from it since;
    /// none while it stands.</summary>
    /// <param name="setup">The setup as it is.</param>
    /// <param name="record">What was measured.</param>
    /// <param name="basis">What it depended on then. Where that is a list of places of the document it is an old one, which left out a part
    /// of the way; whether such a measurement stands nobody can tell, so it does not.</param>
    public static IReadOnlyList<string> Changed(Setup setup, MeasurementRecord record, IReadOnlyList<BasisPart> basis)
    {
        if (basis.Any(p => p.Path.StartsWith('/')))
            return ["perhaps something that was not noted when it was recorded"];
        return Differ(basis, OfMeasurement(setup, record));
    }

    /// <summary>The parts, in words, that are another now than then, have come since, or are gone.</summary>
    public static IReadOnlyList<string> Differ(IReadOnlyList<BasisPart> basis, IReadOnlyList<BasisPart> today)
    {
        var then = basis.ToDictionary(p => p.Path, StringComparer.Ordinal);
        var now = today.ToDictionary(p => p.Path, StringComparer.Ordinal);
        return
        [
            .. basis
                .Concat(today.Where(p => !then.ContainsKey(p.Path)))
                .Where(p => then.GetValueOrDefault(p.Path)?.Hash != now.GetValueOrDefault(p.Path)?.Hash)
                .Select(p => p.Name)
                .Distinct(StringComparer.Ordinal),
        ];
    }

    // A part that is not there has the hash of null.
    private static string HashAt(JsonNode document, string path)
    {
        JsonNode? node = document;
        foreach (var name in path[1..].Split('/'))
            node = node?[name];
        return CanonicalJson.Hash(CanonicalJson.Write(node));
    }
}
