using System.Collections.Immutable;
using System.Text.Json.Nodes;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Tests.Findings;
using Zephyros.Core.Tests.Reference;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Edits;

/// <summary>What is taken out takes along what would name nothing, is not taken out where something needs it, and what misses it is said.</summary>
public sealed class RemovalTests
{
    private static readonly string[] Collections =
    [
        "/model/channels",
        "/model/conditions",
        "/model/sensors",
        "/model/states",
        "/model/overrides",
        "/model/announcements",
        "/transmitter/controls",
        "/board/functions",
    ];

    // Judged by the validator: what is not needed leaves a valid setup without it, and what is needed would leave none.
    [Fact]
    public void Everything_can_be_removed_unless_something_would_name_it_then()
    {
        var (removed, needed) = (0, 0);
        foreach (var (name, setup) in Craft())
        foreach (var (place, id) in Things(setup))
        {
            var removal = Removals.Of(setup, $"{place}/{id}");
            Assert.NotNull(removal);
            if (removal.Edit is not { } edit)
            {
                needed++;
                Assert.NotEmpty(removal.NeededBy);
                Assert.NotEmpty(SetupJson.Read(Bare(setup, place, id)).Problems);
                continue;
            }

            removed++;
            Assert.Empty(removal.NeededBy);
            var after = edit.ApplyTo(setup);
            if (after.Setup is null)
                // The four sticks of a transmitter cannot go: the validator says so.
                Assert.Equal("/transmitter/controls", after.Problems[0].Place);
            else
                Assert.DoesNotContain((place, id), Things(after.Setup));
            var others = Things(setup).Except([(place, id)]).ToArray();
            var gone = after.Setup is null ? [] : others.Except(Things(after.Setup)).ToArray();
            Assert.True(gone.Length <= removal.TakesAlong.Count, $"{name} {place}/{id}: {string.Join(", ", gone)}");
        }

        Assert.True(removed > 300 && needed > 50, $"{removed} removed, {needed} needed");
    }

    [Fact]
    public void What_is_not_there_cannot_be_removed()
    {
        foreach (var place in new[] { "", "/", "/model", "/model/channels", "/board/map", "/craft/name" })
            Assert.Null(Removals.Of(Demo.Sandpiper, place));
        Assert.All(Collections, c => Assert.Null(Removals.Of(Demo.Sandpiper, $"{c}/nobody")));
    }

    [Fact]
    public void A_channel_says_what_goes_with_it_and_what_misses_it()
    {
        var setup = Demo
            .Plain.WithCondition("on", Build.At("left-back-switch", 2))
            .WithOverride("arm", "on", -100)
            .InModel(m => m with { States = m.States.Add("calm", new FlightState { Label = "Calm", Order = 1 }) })
            .WithStep(
                "arm",
                "table",
                new StateStep { Order = 1, Values = ImmutableDictionary<string, Percent>.Empty.Add("calm", new(10)) }
            );
        var arm = Removals.Of(setup, "/model/channels/arm")!;
        Assert.Equal(
            [$"the override {setup.Model.Overrides.Values.Single().Label}", "what it sends in the flight states Calm"],
            arm.TakesAlong
        );
        Assert.Equal(["Arm watches channel 5 (AUX 1), and nothing feeds it then: the board never arms"], arm.Leaves);
        Assert.Empty(arm.Edit!.ApplyTo(setup).Setup!.Model.Overrides);
        Assert.Equal(
            ["the board reads roll from channel 1, and nothing feeds it then"],
            Removals.Of(setup, "/model/channels/roll")!.Leaves
        );
        var calm = Removals.Of(setup, "/model/states/calm")!;
        Assert.Equal(["what channel Arm sends in it"], calm.TakesAlong);
        Assert.Empty(calm.Edit!.ApplyTo(setup).Setup!.Model.Channels["arm"].Steps);
        // Of two values one stays, with its step.
        var two = setup
            .InModel(m =>
                m with
                {
                    States = m.States.Add(
                        "wild",
                        new FlightState
                        {
                            Label = "Wild",
                            Order = 0,
                            When = "on",
                        }
                    ),
                }
            )
            .WithStep(
                "arm",
                "table",
                new StateStep
                {
                    Order = 1,
                    Values = ImmutableDictionary<string, Percent>.Empty.Add("calm", new(10)).Add("wild", new(20)),
                }
            );
        var left = Removals.Of(two, "/model/states/calm")!.Edit!.ApplyTo(two).Setup!;
        Assert.Equal(["wild"], Assert.IsType<StateStep>(left.Model.Channels["arm"].Steps["table"]).Values.Keys);
    }

    [Fact]
    public void What_needs_it_is_named()
    {
        var setup = Demo
            .Plain.WithCondition("on", Build.At("left-back-switch", 2))
            .WithOverride("throttle", "on", -100)
            .WithChannel("mode", c => c with { Take = new ChannelSource { Channel = "beeper" } });
        Assert.Equal(["override on Throttle"], Removals.Of(setup, "/model/conditions/on")!.NeededBy);
        Assert.Equal(["“on”"], Removals.Of(setup, "/transmitter/controls/left-back-switch")!.NeededBy.Take(1));
        Assert.Equal(
            [$"channel {setup.Model.Channels["mode"].Label}"],
            Removals.Of(setup, "/model/channels/beeper")!.NeededBy
        );
        Assert.Contains("Arm of the board", Removals.Of(setup, "/transmitter/controls/left-shoulder")!.NeededBy);
    }

    [Fact]
    public void A_control_takes_its_trim_along_and_functions_stay_without_one()
    {
        var free = Demo.Plain.WithBoard(b =>
            b with
            {
                Functions = b.Functions.SetItem(
                    "beeper",
                    b.Functions["beeper"] with
                    {
                        Control = "right-dial",
                        Planned = [],
                    }
                ),
            }
        );
        var setup = free.InModel(m => m with { Trims = m.Trims.SetItem("right-dial", new(3)) });
        var removal = Removals.Of(setup, "/transmitter/controls/right-dial")!;
        Assert.Equal(["its trim"], removal.TakesAlong);
        Assert.Equal([$"{setup.Board.Functions["beeper"].Label} is meant for no control then"], removal.Leaves);
        var after = removal.Edit!.ApplyTo(setup).Setup!;
        Assert.Equal("", after.Board.Functions["beeper"].Control);
        Assert.Empty(after.Model.Trims);
    }

    [Fact]
    public void A_function_takes_along_what_announces_it()
    {
        var modes = ReportedChanges.Announce(Demo.Wren);
        var mode = modes.Model.Announcements.First(a => a.Value.Function is not null);
        var removal = Removals.Of(modes, $"/board/functions/{mode.Value.Function}")!;
        Assert.Contains($"the announcement “{mode.Value.Says}”", removal.TakesAlong);
        Assert.DoesNotContain(mode.Key, removal.Edit!.ApplyTo(modes).Setup!.Model.Announcements.Keys);
        Assert.Equal(["the board never arms then"], Removals.Of(modes, "/board/functions/arm")!.Leaves);
    }

    private static IEnumerable<(string Name, Setup Setup)> Craft() =>
        PlantedFaults
            .All.Where((_, i) => i % 9 == 0)
            .Select(p => (p.Key, p.Value))
            .Concat(Enumerable.Range(0, 8).Select(seed => ($"random model {seed}", new RandomModels(seed).Make())))
            .Concat([
                ("sandpiper", Demo.Sandpiper),
                ("wren", ReportedChanges.Announce(Demo.Wren)),
                ("gannet", Demo.Gannet),
            ]);

    private static IEnumerable<(string Place, string Id)> Things(Setup setup)
    {
        var document = SetupJson.ToNode(setup);
        return Collections.SelectMany(c => At(document, c).Select(m => (c, m.Key)).Order());
    }

    private static JsonObject Bare(Setup setup, string place, string id)
    {
        var document = SetupJson.ToNode(setup);
        At(document, place).Remove(id);
        return document;
    }

    private static JsonObject At(JsonObject document, string place)
    {
        JsonNode node = document;
        foreach (var name in place[1..].Split('/'))
            node = node[name]!;
        return node.AsObject();
    }
}
