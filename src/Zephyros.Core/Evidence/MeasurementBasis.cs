using System.Text.Json;
using System.Text.Json.Nodes;
using Zephyros.Core.Hands;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Evidence;

/// <summary>What a measurement depends on: everything that the measured values go through. What of the model that is, the graph tells
/// that the model is computed by; names of things are left out, they move no value.</summary>
internal sealed class MeasurementBasis
{
    private static readonly string[] Words = ["label", "alias", "short", "place", "warnedBecause"];

    private readonly Setup setup;
    private readonly JsonObject document;
    private readonly ModelGraph graph;

    private MeasurementBasis(Setup setup)
    {
        this.setup = setup;
        document = SetupJson.ToNode(setup);
        graph = ModelGraph.Of(setup.Model);
    }

    /// <summary>The parts, the hands first and the board last.</summary>
    public static IReadOnlyList<BasisPart> Of(Setup setup, MeasurementRecord record) =>
        [.. new MeasurementBasis(setup).Parts(record)];

    private IEnumerable<BasisPart> Parts(MeasurementRecord record)
    {
        var measured = Measured(record);
        var channels = setup
            .Model.Channels.Where(c => measured.Contains(c.Value.Number))
            .OrderBy(c => c.Value.Number.Value)
            .ToArray();
        var behind = channels.SelectMany(c => graph.Behind(new ModelNode(NodeKind.Sent, c.Key))).ToHashSet();
        behind.UnionWith(Controls(record).Select(id => new ModelNode(NodeKind.Control, id)));
        return
        [
            Part("transmitter", "the transmitter", setup.Transmitter.Origin),
            Part("transmitter/scale", "the transmitter's scale", setup.Transmitter.Scale),
            .. behind.Order().SelectMany(OfNode),
            .. channels.Select(Forced),
            Part("carried", "how many channels arrive", Carried(measured)),
            .. OfLink(measured),
            .. behind.Any(n => n.Kind == NodeKind.Sensor)
                ? [Part("air/telemetry", "whether telemetry comes back", setup.Air.Telemetry)]
                : Enumerable.Empty<BasisPart>(),
            Part("wire/format", "the wire format", setup.Wire.Format),
            Part("wire/rounding", "how values are rounded on the wire", setup.Wire.Rounding),
            Part("board/map", "the board's map", setup.Board.Map),
            .. StickAxes
                .All.Where(a => measured.Contains(setup.Board.Map.ChannelOf(a)))
                .Select(a => Part($"board/spans/{a.Word()}", "the board's spans", Node($"/board/spans/{a.Word()}"))),
        ];
    }

    private static bool SticksSeen(MeasurementRecord record) => record.Wiggles.Length + record.Sweeps.Count > 0;

    // All four bars as soon as a stick was looked at: that the others stay where they are is seen too.
    private static HashSet<ChannelNumber> Measured(MeasurementRecord record) =>
        [
            .. Enumerable
                .Range(1, SticksSeen(record) ? ChannelNumber.StickChannels : 0)
                .Select(n => new ChannelNumber(n)),
            .. record.Positions.Select(p => p.Channel),
        ];

    // Which stick is meant by its axis is a matter of all sticks.
    private IEnumerable<string> Controls(MeasurementRecord record) =>
        setup
            .Transmitter.Controls.Where(c =>
                (c.Value is StickControl && SticksSeen(record)) || record.Positions.Any(p => p.Control == c.Key)
            )
            .Select(c => c.Key);

    private IEnumerable<BasisPart> OfNode(ModelNode node)
    {
        var (id, model) = (node.Id, setup.Model);
        return node.Kind switch
        {
            NodeKind.Control => OfControl(id, setup.Transmitter.Controls[id].Name),
            NodeKind.Sensor =>
            [
                Part($"sensors/{id}", $"the sensor {model.Sensors[id].Label}", Node($"/model/sensors/{id}")),
            ],
            NodeKind.Condition =>
            [
                Part(
                    $"conditions/{id}",
                    $"the condition {model.Conditions[id].Label}",
                    Node($"/model/conditions/{id}")
                ),
            ],
            NodeKind.State =>
            [
                Part(
                    "states",
                    "the flight states",
                    new JsonArray([.. model.StatesByPriority().Select(s => new JsonArray(s.Key, s.Value.When))])
                ),
            ],
            NodeKind.Chain =>
            [
                Part($"channels/{id}", $"the channel of {model.Channels[id].Label}", Node($"/model/channels/{id}")),
            ],
            // What is forced is said beside; what is announced or timed moves no value.
            NodeKind.Sent or NodeKind.Announcement or NodeKind.Timer => [],
        };
    }

    private BasisPart[] OfControl(string id, string name) =>
        [
            Part($"controls/{id}", $"the control {name}", Node($"/transmitter/controls/{id}")),
            Part($"trims/{id}", $"the trim of {name}", setup.Model.Trims.GetValueOrDefault(id)),
        ];

    private BasisPart Forced(KeyValuePair<string, Channel> channel)
    {
        var forced = setup.Model.OverridesOf(channel.Key).Where(o => o.Value.Enabled).ToArray();
        return Part(
            $"overrides/{channel.Key}",
            $"what is forced on {channel.Value.Label}",
            forced.Length == 0
                ? new JsonArray()
                : new JsonArray([
                    setup.Transmitter.ForcedPastEnds,
                    .. forced.Select(o => new JsonArray(o.Value.When, o.Value.Value.Value)),
                ])
        );
    }

    private JsonArray Carried(IEnumerable<ChannelNumber> measured)
    {
        var carried = SignalPlan.CarriedChannels(setup);
        return [.. measured.Select(n => n.Value).Where(n => n <= carried).Order()];
    }

    private IEnumerable<BasisPart> OfLink(IReadOnlySet<ChannelNumber> measured)
    {
        yield return Part("air/profile", "the radio system", setup.Air.Profile);
        var receiver = setup.Air.Receiver;
        yield return Part(
            "air/receiver",
            "the receiver",
            new JsonArray(receiver.Label, receiver.Family, receiver.SubFamily, receiver.InBoard)
        );
        foreach (var number in measured.OrderBy(n => n.Value))
            yield return Part(
                $"air/steps/{number.Value}",
                $"the steps of the link on {number}",
                setup.Air.StepsOn(number.Value)
            );
        var quality = receiver.QualityOn is { } on && measured.Contains(new ChannelNumber(on)) ? on : 0;
        yield return Part("air/quality", "where the receiver puts the signal quality", quality);
    }

    // What stands at a place of the document, without the words for it; null when nothing does.
    private JsonNode? Node(string path)
    {
        JsonNode? node = document;
        foreach (var name in path[1..].Split('/'))
            node = node?[name];
        if (node is not JsonObject found)
            return node;
        return new JsonObject(
            found
                .Where(m => !Words.Contains(m.Key, StringComparer.Ordinal))
                .Select(m => KeyValuePair.Create(m.Key, m.Value?.DeepClone()))
        );
    }

    private static BasisPart Part<T>(string path, string name, T value) =>
        new(
            path,
            name,
            CanonicalJson.Hash(
                CanonicalJson.Write(value as JsonNode ?? JsonSerializer.SerializeToNode(value, SetupJson.Options))
            )
        );
}
