using System.Text.Json.Nodes;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Procedure;

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

    // What a stick's value goes through on its way to the board's bars, but for its own channel.
    private static readonly (string Path, string Name)[] MeasurementParts =
    [
        ("/transmitter/scale", "the transmitter's scale"),
        ("/board/map", "the board's map"),
        ("/board/spans", "the board's spans"),
        ("/wire/format", "the wire format"),
    ];

    /// <summary>What a bind of this setup depends on.</summary>
    public static IReadOnlyList<BasisPart> OfBind(Setup setup) => Of(setup, BindParts);

    /// <summary>What a measurement depends on: the way that all values go, and the channels that were measured.</summary>
    public static IReadOnlyList<BasisPart> OfMeasurement(Setup setup, MeasurementRecord record)
    {
        var measured = record.Positions.Select(p => p.Channel).ToHashSet();
        return Of(
            setup,
            MeasurementParts.Concat(
                setup
                    .Model.Channels.Where(c => c.Value.Number.Aux is null || measured.Contains(c.Value.Number))
                    .OrderBy(c => c.Value.Number.Value)
                    .Select(c => ($"/model/channels/{c.Key}", $"the channel of {c.Value.Label}"))
            )
        );
    }

    private static IReadOnlyList<BasisPart> Of(Setup setup, IEnumerable<(string Path, string Name)> parts)
    {
        var document = SetupJson.ToNode(setup);
        return [.. parts.Select(p => new BasisPart(p.Path, p.Name, HashAt(document, p.Path)))];
    }

    /// <summary>The parts that are another now than when the evidence was taken; none while it stands.</summary>
    public static IReadOnlyList<BasisPart> Changed(Setup setup, IEnumerable<BasisPart> basis)
    {
        var document = SetupJson.ToNode(setup);
        return [.. basis.Where(p => HashAt(document, p.Path) != p.Hash)];
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
