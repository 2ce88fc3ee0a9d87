using System.Text.Json.Nodes;
using CsCheck;
using Zephyros.Core.Edits;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Core.Tests.Edits;

public sealed class EditTests
{
    private static readonly Gen<Setup> Setups = Gen.Select(
        Gen.OneOf(Demo.Sandpiper, Demo.Plain, Demo.Gannet),
        Gen.Int[0, 23],
        Gen.Double[-100, -50],
        Gen.Int[1, 12],
        Gen.Bool,
        (setup, map, low, aux, extra) =>
        {
            var changed = setup
                .WithBoard(b => b with { Map = StickOrder.All[map] })
                .WithChannel("arm", c => c with { Output = c.Output with { Low = new Percent(low) } })
                .WithArm(f => f with { Aux = aux });
            return extra
                ? changed with
                {
                    Justified = changed.Justified.SetItem("a:b", new Justification { Note = "on purpose" }),
                }
                : changed;
        }
    );

    [Fact]
    public void The_edit_between_two_setups_leads_from_one_to_the_other_and_back() =>
        Gen.Select(Setups, Setups)
            .Sample(
                (before, after) =>
                {
                    var there = SetupEdit.Between("there", before, after).ApplyTo(before).Setup!;
                    var back = SetupEdit.Between("back", after, before).ApplyTo(there).Setup!;
                    return CanonicalJson.Write(there) == CanonicalJson.Write(after)
                        && CanonicalJson.Write(back) == CanonicalJson.Write(before);
                },
                iter: Iterations.Of(150)
            );

    [Fact]
    public void An_edit_applies_only_to_what_it_was_made_for()
    {
        var edit = BoardEdits.ReadOrder(Demo.Sandpiper, StickOrder.Parse("TAER"));
        var changed = Demo.Sandpiper.WithBoard(b => b with { Map = StickOrder.Parse("RTEA") });
        var error = Assert.Throws<PatchException>(() => edit.ApplyTo(changed));
        Assert.Equal(("/board/map", true), (error.Place, error.IsTest));
        // What the edit does not touch may have changed.
        Assert.NotNull(edit.ApplyTo(Demo.Sandpiper.WithArm(f => f with { Aux = 3 })).Setup);
    }

    [Fact]
    public void Feeding_a_channel_makes_it_when_there_is_none()
    {
        var fed = ModelEdits.Feed(Demo.Gannet, new ChannelNumber(9), "left-shoulder").ApplyTo(Demo.Gannet).Setup!;
        Assert.Equal(new ControlSource { Control = "left-shoulder" }, fed.Model.Channels["channel-9"].Take);
    }

    // The other craft has a receiver of its own: what was measured of the one says nothing of it.
    [Fact]
    public void A_copy_is_the_same_but_for_names_and_what_was_measured_of_the_receiver()
    {
        var measured = Demo.Sandpiper.WithAir(a => a with { GivesUpAfter = new(420) });
        var copy = NewSetup.Copy(measured, "Turnstone");
        Assert.Null(copy.Air.GivesUpAfter);
        var named = measured with
        {
            Craft = measured.Craft with { Name = "Turnstone" },
            Model = measured.Model with { Name = "TURNSTONE" },
            Air = measured.Air with { GivesUpAfter = null, LossCopiedFrom = measured.Craft.Name },
        };
        Assert.Equal(CanonicalJson.Write(named), CanonicalJson.Write(copy));
    }

    [Fact]
    public void Canonical_text_does_not_depend_on_the_order_of_members()
    {
        var one = JsonNode.Parse("""{"b":[1,2.50,1e3],"a":{"y":"é\"","x":-0.0}}""");
        var other = JsonNode.Parse("""{ "a": { "x": 0, "y": "é\u0022" }, "b": [ 1.0, 2.5, 1000 ] }""");
        Assert.Equal("""{"a":{"x":0,"y":"é\""},"b":[1,2.5,1000]}""", CanonicalJson.Write(one));
        Assert.Equal(CanonicalJson.Write(one), CanonicalJson.Write(other));
    }

    // SHA-256 of "abc": FIPS 180-2, appendix B.1.
    [Fact]
    public void The_hash_is_sha_256() =>
        Assert.Equal("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad", CanonicalJson.Hash("abc"));
}
