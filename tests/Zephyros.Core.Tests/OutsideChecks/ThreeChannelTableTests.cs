using System.Collections.Immutable;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Path;
using Zephyros.Core.Path.States;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.OutsideChecks;

/// <summary>A board that reads three channels together. Common practice, no source: the table as the trade uses it, in percent.</summary>
public sealed class ThreeChannelTableTests
{
    private static readonly string[] Channels = ["arm", "mode", "beeper"];

    // State -> channels 5, 6, 7, and the combination of two switches that should give it.
    private static readonly Dictionary<string, (double[] Row, int Outer, int Inner)> Table = new()
    {
        ["return-home"] = ([-100, -100, -100], 3, 3),
        ["waypoints"] = ([-100, 100, -100], 3, 2),
        ["head-free"] = ([-100, 0, 100], 3, 1),
        ["autopilot"] = ([-100, 0, -100], 2, 1),
        ["flip"] = ([0, 125, 0], 2, 2),
        ["rate"] = ([100, 0, 0], 2, 3),
        ["stabilised"] = ([0, 0, 0], 1, 1),
    };

    [Fact]
    public void The_solver_fills_the_chains_so_that_each_state_gives_its_row()
    {
        var setup = Filled(Table.ToDictionary(t => t.Key, t => t.Value.Row));
        var rig = new ModelRig(setup);
        foreach (var (state, (row, outer, inner)) in Table)
        {
            rig.Put("left-front-outer", outer).Put("left-front-inner", inner);
            Assert.Equal(state, rig.Plan.ActiveState(rig.Memory));
            Assert.Equal(row, Channels.Select(c => Math.Round(rig.Value(c), 6)));
        }

        // +125 % needs a wider end; nothing else was touched.
        Assert.Equal([100, 125, 100], Channels.Select(c => setup.Model.Channels[c].Output.High.Value));
    }

    [Fact]
    public void It_says_which_combination_gives_a_state_and_which_cannot_be_told_apart()
    {
        var rows = Table.ToDictionary(t => t.Key, t => t.Value.Row);
        rows["flip"] = rows["rate"];
        var said = StateTable.Of(SignalPlan.Compile(Filled(rows))).Rows.ToDictionary(r => r.State);
        Assert.Equal("Left front, inner far, Left front, outer far", said["return-home"].Reached);
        Assert.Equal(["rate"], said["flip"].SameAs);
        Assert.Equal(["flip"], said["rate"].SameAs);
        Assert.Empty(said["waypoints"].SameAs);
        Assert.All(said.Values, r => Assert.Empty(r.ShadowedBy));
    }

    [Fact]
    public void It_says_which_state_each_combination_of_the_controls_gives()
    {
        var table = StateTable.Of(SignalPlan.Compile(Filled(Table.ToDictionary(t => t.Key, t => t.Value.Row))));
        // Two switches of three positions: nine combinations, and what no condition names falls to the default.
        Assert.Equal(9, table.Combinations.Count);
        string Name(int position) =>
            position == 1 ? "safe"
            : position == 2 ? "mid"
            : "far";
        for (var outer = 1; outer <= 3; outer++)
        for (var inner = 1; inner <= 3; inner++)
        {
            var words = $"Left front, inner {Name(inner)}, Left front, outer {Name(outer)}";
            var expected =
                Table.FirstOrDefault(t => (t.Value.Outer, t.Value.Inner) == (outer, inner)).Key ?? "stabilised";
            Assert.Equal(expected, table.Combinations.Single(c => c.Words == words).State);
        }
    }

    [Fact]
    public void Where_no_state_is_active_it_says_so()
    {
        var setup = Filled(Table.ToDictionary(t => t.Key, t => t.Value.Row));
        setup = setup.InModel(m => m with { States = m.States.Remove("stabilised") });
        var none = StateTable.Of(SignalPlan.Compile(setup)).Combinations.Where(c => c.State is null);
        Assert.Equal(3, none.Count());
    }

    [Fact]
    public void A_state_that_others_always_precede_is_told_with_what_shadows_it()
    {
        var setup = Filled(Table.ToDictionary(t => t.Key, t => t.Value.Row));
        // Rate asks for the combination that waypoints, further up, asks for too.
        setup = setup.WithCondition("rate", setup.Model.Conditions["waypoints"].Test);
        var rate = StateTable.Of(SignalPlan.Compile(setup)).Rows.Single(r => r.State == "rate");
        Assert.Null(rate.Reached);
        Assert.Equal(["waypoints"], rate.ShadowedBy);
    }

    [Fact]
    public void A_table_that_the_transmitter_cannot_send_is_refused_with_the_cell()
    {
        var setup = States();
        var table = new Dictionary<string, IReadOnlyDictionary<string, Percent>>
        {
            ["mode"] = new Dictionary<string, Percent> { ["flip"] = new(151), ["nowhere"] = new(0) },
            ["eleven"] = new Dictionary<string, Percent>(),
        };
        var (edit, problems) = StateTableEdit.Build(setup, table);
        Assert.Null(edit);
        Assert.Equal(["/mode/flip", "/mode/nowhere", "/eleven"], problems.Select(p => p.Place));
    }

    private static Setup Filled(Dictionary<string, double[]> rows)
    {
        var table = Channels
            .Select((channel, i) => (channel, i))
            .ToDictionary(
                c => c.channel,
                c =>
                    (IReadOnlyDictionary<string, Percent>)rows.ToDictionary(r => r.Key, r => new Percent(r.Value[c.i])),
                StringComparer.Ordinal
            );
        var (edit, problems) = StateTableEdit.Build(States(), table);
        Assert.Empty(problems);
        var applied = edit!.ApplyTo(States());
        Assert.Empty(applied.Problems);
        return applied.Setup!;
    }

    private static Setup States()
    {
        var setup = Demo.Plain;
        var states = ImmutableDictionary<string, FlightState>.Empty;
        foreach (var (id, (_, outer, inner)) in Table)
        {
            var isDefault = id == "stabilised";
            if (!isDefault)
                setup = setup.WithCondition(id, All(At("left-front-outer", outer), At("left-front-inner", inner)));
            states = states.Add(
                id,
                new FlightState
                {
                    Label = id,
                    Order = states.Count,
                    When = isDefault ? null : id,
                }
            );
        }

        return setup.InModel(m => m with { States = states });
    }
}
