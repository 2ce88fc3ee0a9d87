using Zephyros.Core.Path;
using Zephyros.Core.Symptoms;
using Zephyros.Core.Tests.Findings;

namespace Zephyros.Core.Tests.Symptoms;

/// <summary>Each symptom names the planted fault that makes it, first; and no other.</summary>
public sealed class SymptomTests
{
    // A fault of a setup, and the symptoms behind which it is looked for.
    [Theory]
    [InlineData("channel-order", "throttle-rolls", "spins", "will-not-arm")]
    [InlineData("throttle-never-low", "will-not-arm")]
    [InlineData("arm-function-missing", "will-not-arm")]
    [InlineData("arm-switch-not-reaching:arm", "will-not-arm", "dead-switch")]
    [InlineData("arm-channel-not-carried:arm", "will-not-arm")]
    [InlineData("arm-band-unreached:arm", "will-not-arm", "dead-switch")]
    [InlineData("receiver-port-unfit", "will-not-arm", "dead")]
    [InlineData("module-not-alone", "will-not-arm", "dead")]
    [InlineData("band-elsewhere", "dead")]
    [InlineData("link-steps-too-few:mode:right-front-inner", "will-not-arm", "dead-switch")]
    [InlineData("band-too-near:arm:left-shoulder:far", "dead-switch")]
    [InlineData("function-shadowed:blended", "dead-switch")]
    public void A_fault_is_the_first_suspect_of_its_symptoms(string finding, params string[] symptoms)
    {
        var all = SymptomList.For(PlantedFaults.All[finding]);
        foreach (var id in symptoms)
        {
            var suspects = all.Single(s => s.Id == id).Suspects;
            Assert.Contains(
                suspects,
                s => s.Standing == SuspectStanding.Shown && s.Findings.Any(f => f.Key == finding)
            );
            Assert.Equal(SuspectStanding.Shown, suspects[0].Standing);
        }
    }

    // Every fault of a rule about what arrives is behind some symptom under the rule's very name.
    [Theory]
    [InlineData("stick-reversed")]
    [InlineData("stick-not-sent")]
    [InlineData("travel-off")]
    [InlineData("trim-left-on")]
    [InlineData("end-beyond-reach")]
    [InlineData("limiter-too-low")]
    [InlineData("activation-limit-missed")]
    [InlineData("quality-overwrites")]
    [InlineData("receiver-port-settings")]
    [InlineData("receiver-speaks-other")]
    [InlineData("receiver-needs-battery")]
    [InlineData("family-differs")]
    [InlineData("forced-value-held")]
    [InlineData("override-not-enabled")]
    [InlineData("control-idle")]
    [InlineData("channel-unfed")]
    [InlineData("channel-unused")]
    [InlineData("condition-stuck")]
    [InlineData("condition-unused")]
    public void A_rule_has_a_symptom(string rule)
    {
        var faults = PlantedFaults.All.Where(f =>
            f.Key == rule || f.Key.StartsWith(rule + ":", StringComparison.Ordinal)
        );
        Assert.All(
            faults.ToArray(),
            fault =>
                Assert.Contains(
                    SymptomList.For(fault.Value).SelectMany(s => s.Suspects).SelectMany(s => s.Findings),
                    f => f.Key == fault.Key
                )
        );
        Assert.NotEmpty(faults);
    }

    [Fact]
    public void A_clean_setup_shows_no_cause_but_says_what_to_look_at()
    {
        var all = SymptomList.For(Demo.Plain);
        Assert.DoesNotContain(all.SelectMany(s => s.Suspects), s => s.Standing == SuspectStanding.Shown);
        Assert.All(all, s => Assert.Equal(s.Suspects.OrderBy(x => x.Standing), s.Suspects));
        Assert.All(all, s => Assert.Contains(s.Suspects, x => x.Standing == SuspectStanding.Open));
        // A low throttle that is taken for roll.
        Assert.Contains(
            SymptomList.For(Demo.Sandpiper).Single(s => s.Id == "spins").Suspects,
            s => s.Standing == SuspectStanding.Shown
        );
    }

    // One axis that stands far from its centre is enough.
    [Theory]
    [InlineData("roll", true)]
    [InlineData("pitch", true)]
    [InlineData("yaw", true)]
    [InlineData("beeper", false)]
    public void A_craft_spins_by_one_axis(string channel, bool spins) =>
        Assert.Equal(
            spins,
            new SymptomCase(
                SignalPlan.Compile(Demo.Plain.WithChannel(channel, c => c with { Take = Build.Constant(60) }))
            ).Spins
        );

    // The highest channel alone is lost on the link.
    [Theory]
    [InlineData(0, false)]
    [InlineData(1, true)]
    public void A_channel_beyond_the_link_is_shown_even_when_the_others_arrive(int lost, bool shown)
    {
        var highest = Demo.Plain.Model.Channels.Values.Max(c => c.Number.Value);
        var suspects = SymptomList
            .For(Demo.Plain.WithAir(a => a with { Channels = highest - lost }))
            .SelectMany(s => s.Suspects)
            .Where(s => s.What == "Its channel is beyond those that the link carries.");
        Assert.Equal(shown, suspects.Any(s => s.Standing == SuspectStanding.Shown));
    }
}
