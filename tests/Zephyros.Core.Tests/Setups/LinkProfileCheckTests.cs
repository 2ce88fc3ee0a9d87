using Zephyros.Core.Air;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups.Validation;

namespace Zephyros.Core.Tests.Setups;

/// <summary>Radio systems that pilots write down themselves.</summary>
public sealed class LinkProfileCheckTests
{
    private static readonly LinkProfile Own = LinkProfileCheck.From(Demo.Wren, "lamp-room", "Lamp room", known: null);

    [Fact]
    public void A_profile_made_from_a_craft_can_be_kept_and_gives_that_craft_back()
    {
        Assert.Empty(LinkProfileCheck.Of(Own));
        Assert.Equal("As on Wren.", Own.Summary);
        var air = Demo.Wren.Air;
        var after = AirEdits.UseProfile(Demo.Plain, Own, Assert.Single(Own.Modes)).ApplyTo(Demo.Plain).Setup!.Air;
        Assert.Equal(
            (air.Channels, air.PacketRate, air.Sensitivity, air.Frequency, air.OnLoss, air.Telemetry),
            (after.Channels, after.PacketRate, after.Sensitivity, after.Frequency, after.OnLoss, after.Telemetry)
        );
        Assert.Equal(air.ChannelSteps, after.ChannelSteps);
    }

    [Fact]
    public void What_its_system_says_of_receivers_and_binding_stays()
    {
        var known = LinkProfiles.BuiltIn[0];
        var made = LinkProfileCheck.From(Demo.Wren, "lamp-room", "Lamp room", known);
        Assert.Equal(
            (known.Bind, known.OnLoss, known.QualityOnChannel),
            (made.Bind, made.OnLoss, made.QualityOnChannel)
        );
    }

    [Fact]
    public void A_link_without_telemetry_makes_a_mode_without()
    {
        var deaf = Demo.Wren.WithAir(a => a with { Telemetry = false });
        Assert.Null(LinkProfileCheck.From(deaf, "deaf", "Deaf", known: null).Modes[0].TelemetryEvery);
    }

    [Fact]
    public void What_cannot_be_kept_is_told_with_its_place()
    {
        Assert.Equal("/id", Only(Own with { Id = LinkProfiles.BuiltIn[0].Id }).Place);
        Assert.Equal("/modes", Only(Own with { Modes = [] }).Place);
        Assert.Equal("/modes", Only(Own with { Modes = [.. Enumerable.Repeat(Own.Modes[0], 21)] }).Place);
        Assert.Equal(
            "/bind",
            Only(Own with { Bind = [.. Enumerable.Repeat(new BindStep { Do = "Wait." }, 31)] }).Place
        );
        var stepped = Own.Modes[0] with { Channels = 8, ChannelSteps = Own.Modes[0].ChannelSteps.SetItem(new(9), 6) };
        var problem = Only(Own with { Modes = [Own.Modes[0], stepped] });
        Assert.Equal(
            ("/modes/1/channelSteps/9", "The mode has channels 1 to 8, not 9."),
            (problem.Place, problem.Reason)
        );
    }

    private static SetupProblem Only(LinkProfile profile) => Assert.Single(LinkProfileCheck.Of(profile));
}
