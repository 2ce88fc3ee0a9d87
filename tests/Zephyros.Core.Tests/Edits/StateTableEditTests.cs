using System.Collections.Immutable;
using CsCheck;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;
using static Zephyros.Core.Tests.Build;

namespace Zephyros.Core.Tests.Edits;

/// <summary>The solver behind the table flight state x channel, on random output stages and random wanted values.</summary>
public sealed class StateTableEditTests
{
    [Fact]
    public void What_is_wanted_leaves_the_transmitter_whatever_the_output_stage_does() =>
        Gen.Select(Gen.Bool, Gen.Int[-40, 40], Gen.Int[-120, -60], Gen.Int[60, 120], Gen.Int[-150, 150].Array[2])
            .Sample(
                (reverse, centre, low, high, wanted) =>
                {
                    var stage = new OutputStage
                    {
                        Reverse = reverse,
                        Centre = new Percent(centre),
                        Low = new Percent(low),
                        High = new Percent(high),
                    };
                    var setup = TwoStates().WithChannel("mode", c => c with { Output = stage });
                    var cells = new Dictionary<string, Percent>
                    {
                        ["away"] = new(wanted[0]),
                        ["home"] = new(wanted[1]),
                    };
                    var filled = Fill(setup, cells);
                    var rig = new ModelRig(filled);
                    Assert.Equal(wanted[1], rig.Value("mode"), 6);
                    Assert.Equal(wanted[0], rig.Put("right-shoulder", 2).Value("mode"), 6);
                    // What was filled in is what the table shows again.
                    var shown = StateTableEdit.Cells(filled.Model.Channels["mode"])!;
                    Assert.All(cells, c => Assert.Equal(c.Value.Value, shown[c.Key].Value, 6));
                },
                iter: Iterations.Of(200)
            );

    [Fact]
    public void Filling_again_replaces_and_an_empty_row_takes_the_table_away()
    {
        var once = Fill(TwoStates(), new Dictionary<string, Percent> { ["home"] = new(10) });
        var twice = Fill(once, new Dictionary<string, Percent> { ["home"] = new(20), ["away"] = new(30) });
        Assert.Single(twice.Model.Channels["mode"].Steps);
        Assert.Equal(20, new ModelRig(twice).Value("mode"), 6);
        var none = Fill(twice, new Dictionary<string, Percent>());
        Assert.Empty(none.Model.Channels["mode"].Steps);
        Assert.Null(StateTableEdit.Cells(none.Model.Channels["mode"]));
    }

    private static Setup Fill(Setup setup, IReadOnlyDictionary<string, Percent> cells)
    {
        var table = new Dictionary<string, IReadOnlyDictionary<string, Percent>> { ["mode"] = cells };
        var (edit, problems) = StateTableEdit.Build(setup, table);
        Assert.Empty(problems);
        return edit!.ApplyTo(setup).Setup!;
    }

    private static Setup TwoStates() =>
        Demo
            .Plain.WithCondition("away", At("right-shoulder", 2))
            .InModel(m =>
                m with
                {
                    States = ImmutableDictionary<string, FlightState>
                        .Empty.Add(
                            "away",
                            new FlightState
                            {
                                Label = "away",
                                Order = 1,
                                When = "away",
                            }
                        )
                        .Add("home", new FlightState { Label = "home", Order = 2 }),
                }
            );
}
