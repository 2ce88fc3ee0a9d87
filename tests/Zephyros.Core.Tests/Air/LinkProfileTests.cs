using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Findings;
using Zephyros.Core.Path;
using Zephyros.Core.Setups;

namespace Zephyros.Core.Tests.Air;

public sealed class LinkProfileTests
{
    [Fact]
    public void Every_mode_makes_a_valid_setup_of_every_craft()
    {
        foreach (var profile in LinkProfiles.BuiltIn)
        foreach (var mode in profile.Modes)
        foreach (var setup in new[] { Demo.Plain, Demo.Sandpiper, Demo.Gannet, Demo.Wren })
        {
            var outcome = AirEdits.UseProfile(setup, profile, mode).ApplyTo(setup);
            Assert.Empty(outcome.Problems);
            var after = outcome.Setup!;
            Assert.Equal(
                (profile.Id, mode.Channels, mode.PacketRate),
                (after.Air.Profile, after.Air.Channels, after.Air.PacketRate)
            );
            Assert.Equal(setup.Air.Modules, after.Air.Modules);
            Assert.Contains(after.Air.OnLoss, profile.OnLoss);
        }
    }

    [Fact]
    public void Every_profile_tells_how_to_bind_with_propellers_off_first()
    {
        Assert.All(
            LinkProfiles.BuiltIn,
            p =>
            {
                Assert.Contains("propellers off", p.Bind[0].Do, StringComparison.OrdinalIgnoreCase);
                Assert.Contains(p.Bind, s => s.Light.Length > 0 && s.Otherwise.Length > 0);
            }
        );
        Assert.Equal(
            LinkProfiles.BuiltIn.Count,
            LinkProfiles.BuiltIn.Select(p => p.Id).Distinct(StringComparer.Ordinal).Count()
        );
    }

    [Fact]
    public void A_switch_that_loses_its_middle_moves_to_a_channel_that_has_it()
    {
        // Six steps have no middle: the third position and the second arrive apart, but not where the plan has them.
        var setup = Demo.Plain.WithAir(a => a with { ChannelSteps = a.ChannelSteps.Add(new(6), 2).Add(new(8), 2) });
        var finding = Examination.Of(setup).Single(f => f.Key.StartsWith("link-steps", StringComparison.Ordinal));
        var after = finding.Fixes[0].Edit.ApplyTo(setup).Setup!;
        Assert.Equal(9, after.Model.Channels["mode"].Number.Value);
        Assert.Equal(5, after.Board.Functions["blended"].Aux);
        Assert.Empty(Examination.Of(after));
        Assert.Equal([988, 1500, 2012], Modes(after));
        Assert.Equal([988, 2012, 2012], Modes(setup));
    }

    private static double[] Modes(Setup setup)
    {
        var plan = SignalPlan.Compile(setup);
        var place = setup.Model.Channels["mode"].Number.Value - 1;
        return
        [
            .. Enumerable.Range(1, 3).Select(p => Math.Round(plan.With("right-front-inner", p).Received[place].Value)),
        ];
    }
}
