using System.Text;
using System.Text.Json.Nodes;
using Zephyros.Core.Board;
using Zephyros.Core.Edits;
using Zephyros.Core.Fixes;
using Zephyros.Core.ReadyMade;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Edits;

/// <summary>An edit adds, or changes what it names; what it does not name is still there. Tried with craft whose things have the ids that the
/// program would give to something else.</summary>
public sealed class NothingLostTests
{
    private static readonly string[] OddFunctions = ["quality", "signal-quality", "arm", "arm-switch", "arm-2"];

    [Fact]
    public void A_channel_that_was_renumbered_is_not_overwritten()
    {
        // The mode channel has the id that channel 8 would get, and the beeper's that of channel 8 the second time.
        var setup = Renamed(
            Demo.Plain.InModel(m => m with { Sensors = Demo.Sandpiper.Model.Sensors }),
            new(StringComparer.Ordinal) { ["mode"] = "channel-8", ["beeper"] = "channel-8-2" },
            new(StringComparer.Ordinal)
        );
        foreach (
            var edit in new[]
            {
                ModelEdits.Feed(setup, new ChannelNumber(8), "left-dial"),
                QualityEdits.ByTransmitter(setup, new ChannelNumber(8), "distance"),
            }
        )
        {
            var after = edit.ApplyTo(setup).Setup!;
            Assert.Equal(setup.Model.Channels.Count + 1, after.Model.Channels.Count);
            Assert.Equal(8, after.Model.Channels["channel-8-3"].Number.Value);
            Assert.Empty(Lost(setup, edit, after));
        }
    }

    [Fact]
    public void A_function_of_another_kind_is_not_overwritten()
    {
        var own = Demo.Plain.Board.Functions["beeper"] with { Kind = FunctionKind.Own };
        var setup = Demo.Plain.WithBoard(b =>
            b with
            {
                Functions = OddFunctions.Aggregate(b.Functions.Remove("arm"), (f, id) => f.Add(id, own)),
            }
        );
        var armed = BoardEdits.ArmWith(setup, "left-shoulder", 4, new(1700), new(2100)).ApplyTo(setup).Setup!;
        Assert.Equal(FunctionKind.Arm, armed.Board.Functions["arm-3"].Kind);
        var shown = QualityEdits.ByReceiver(setup, new ChannelNumber(8)).ApplyTo(setup).Setup!;
        Assert.Equal(FunctionKind.SignalQuality, shown.Board.Functions["quality-2"].Kind);
        Assert.All(OddFunctions, id => Assert.Equal(own, armed.Board.Functions[id]));
        Assert.All(OddFunctions, id => Assert.Equal(own, shown.Board.Functions[id]));
    }

    [Fact]
    public void An_id_that_is_as_long_as_can_be_gets_a_number_within_what_is_allowed()
    {
        var name = new string('a', 90);
        var first = FreeId.Of(name, _ => false);
        var second = FreeId.Of(name, id => id == first);
        Assert.Equal((80, 77), (first.Length, second.Length));
        Assert.EndsWith("-2", second, StringComparison.Ordinal);
    }

    [Fact]
    public void Every_fix_chain_and_candidate_leaves_what_it_does_not_name()
    {
        var tried = 0;
        foreach (var (name, setup) in Odd())
        foreach (var (from, edit) in Offered(setup))
            if (edit.ApplyTo(setup).Setup is { } after)
            {
                tried++;
                Assert.Empty(Lost(setup, edit, after).Select(l => $"{name}, {from}: {l}"));
            }

        Assert.True(tried > 200, $"{tried} tried");
    }

    // Every planted fault and random craft, its channels called as other channels would be, its functions as others.
    private static IEnumerable<(string Name, Setup Setup)> Odd()
    {
        var random = new Random(17);
        var crafts = PlantedFaults
            .All.Select(p => (p.Key, p.Value))
            .Concat(
                Enumerable
                    .Range(0, (int)Iterations.OfProofs(12))
                    .Select(seed => ($"random craft {seed}", new RandomCraft(seed).Make()))
            );
        foreach (var (name, setup) in crafts)
        {
            var numbers = Enumerable.Range(1, 16).ToArray();
            random.Shuffle(numbers);
            var channels = setup
                .Model.Channels.Keys.Order(StringComparer.Ordinal)
                .Zip(numbers)
                .ToDictionary(c => c.First, c => $"channel-{c.Second}", StringComparer.Ordinal);
            string[] ids = [.. OddFunctions];
            random.Shuffle(ids);
            var functions = setup
                .Board.Functions.Keys.Where(k => k != "arm")
                .Order(StringComparer.Ordinal)
                .Zip(ids.Where(i => !setup.Board.Functions.ContainsKey(i)))
                .ToDictionary(f => f.First, f => f.Second, StringComparer.Ordinal);
            yield return (name, Renamed(setup, channels, functions));
        }
    }

    private static IEnumerable<(string From, SetupEdit Edit)> Offered(Setup setup)
    {
        foreach (var (id, _, edit) in CandidateFixes.Of(setup))
            yield return (id, edit);
        foreach (var chain in ReadyMadeChains.All)
        {
            var (built, arguments) = Build.Try(setup, chain.Id);
            if (built is not null && arguments.Problems.Count == 0)
                yield return (chain.Id, SetupEdit.Between(chain.Title, setup, built.Setup));
        }

        foreach (var control in setup.Transmitter.Controls.Keys.Order(StringComparer.Ordinal).Take(3))
            for (var n = 5; n <= 16; n++)
                if (setup.Model.Channels.Values.All(c => c.Number.Value != n))
                    yield return ($"feed {n}", ModelEdits.Feed(setup, new ChannelNumber(n), control));
    }

    // What was there and is gone without being removed by name, and what has become another thing.
    private static IEnumerable<string> Lost(Setup before, SetupEdit edit, Setup after)
    {
        var removed = edit
            .Operations.Where(o => o.Op == PatchKind.Remove)
            .Select(o => o.Path)
            .ToHashSet(StringComparer.Ordinal);
        return Of(
                "/model/channels",
                before.Model.Channels,
                after.Model.Channels,
                (a, b) => a.Label != b.Label && (a.Number != b.Number || a.Take != b.Take)
            )
            .Concat(
                Of(
                    "/model/conditions",
                    before.Model.Conditions,
                    after.Model.Conditions,
                    (a, b) => a.Label != b.Label && !SetupJson.Same(a.Test, b.Test)
                )
            )
            .Concat(
                Of(
                    "/model/overrides",
                    before.Model.Overrides,
                    after.Model.Overrides,
                    (a, b) => a.Label != b.Label && a.Channel != b.Channel
                )
            )
            .Concat(
                Of(
                    "/model/announcements",
                    before.Model.Announcements,
                    after.Model.Announcements,
                    (a, b) => a.Says != b.Says && a.About != b.About
                )
            )
            .Concat(
                Of(
                    "/model/states",
                    before.Model.States,
                    after.Model.States,
                    (a, b) => a.Label != b.Label && a.When != b.When
                )
            )
            .Concat(
                Of(
                    "/board/functions",
                    before.Board.Functions,
                    after.Board.Functions,
                    (a, b) => a.Label != b.Label && a.Kind != b.Kind
                )
            )
            .Concat(
                Of(
                    "/transmitter/controls",
                    before.Transmitter.Controls,
                    after.Transmitter.Controls,
                    (a, b) => a.GetType() != b.GetType()
                )
            )
            .Concat(
                before
                    .Model.Channels.Where(c => after.Model.Channels.ContainsKey(c.Key))
                    .SelectMany(c =>
                        Of(
                            $"/model/channels/{c.Key}/steps",
                            c.Value.Steps,
                            after.Model.Channels[c.Key].Steps,
                            (a, b) => a.GetType() != b.GetType()
                        )
                    )
            );

        IEnumerable<string> Of<T>(
            string place,
            IReadOnlyDictionary<string, T> old,
            IReadOnlyDictionary<string, T> now,
            Func<T, T, bool> another
        ) =>
            old.Where(o =>
                    !removed.Contains($"{place}/{o.Key}")
                    && (!now.TryGetValue(o.Key, out var there) || another(o.Value, there))
                )
                .Select(o => $"{place}/{o.Key}");
    }

    private static Setup Renamed(Setup setup, Dictionary<string, string> channels, Dictionary<string, string> functions)
    {
        var document = JsonNode.Parse(SetupJson.WriteIndented(setup))!;
        Rename(document["model"]!["channels"]!.AsObject(), channels);
        Rename(document["board"]!["functions"]!.AsObject(), functions);
        Follow(document);
        var reading = SetupJson.Read(Encoding.UTF8.GetBytes(document.ToJsonString()));
        Assert.Empty(reading.Problems);
        return reading.Setup!;

        static void Rename(JsonObject map, Dictionary<string, string> to)
        {
            var entries = map.ToArray();
            map.Clear();
            foreach (var (id, value) in entries)
                map.Add(to.GetValueOrDefault(id, id), value);
        }

        void Follow(JsonNode? node)
        {
            if (node is JsonArray list)
                foreach (var item in list)
                    Follow(item);
            if (node is not JsonObject made)
                return;
            foreach (var (key, value) in made.ToArray())
                if (value is JsonValue && value.GetValueKind() == System.Text.Json.JsonValueKind.String)
                {
                    var to = key switch
                    {
                        "channel" => channels,
                        "function" => functions,
                        _ => null,
                    };
                    if (to is not null && to.TryGetValue((string)value!, out var renamed))
                        made[key] = renamed;
                }
                else
                    Follow(value);
        }
    }
}
